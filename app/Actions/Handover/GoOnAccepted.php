<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use App\Actions\Deeds\Openings;
use App\Actions\Gates\GateOrders;
use App\Models\Acceptance;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Support\Failpoint;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The receiver said yes: what waited for it goes on, some names a transaction; killed anywhere, it goes on where it was. */
final readonly class GoOnAccepted
{
    private const TOGETHER = 100;

    public function __construct(private Connection $database, private TellHandover $tell, private GateOrders $gateOrders)
    {
    }

    public function handle(int $docketId): void
    {
        do {
            $more = $this->database->transaction(fn (): bool => $this->some($docketId));
            Failpoint::AcceptedCarried->reach();
        } while ($more);
    }

    /** Those whose job was lost with its worker. */
    public function sweep(): void
    {
        foreach (Row::all($this->database->select('SELECT docket_id FROM acceptances WHERE answered_on IS NOT NULL AND carried_at IS NULL')) as $row) {
            $this->handle($row->int('docket_id'));
        }
    }

    /** @return bool whether there may be more */
    private function some(int $docketId): bool
    {
        $acceptance = Acceptance::query()->with('account.registrar')->whereNull('carried_at')->whereNotNull('answered_on')->lockForUpdate()->find($docketId);
        if ($acceptance === null) {
            return false;
        }
        $movements = Movement::query()->with('legs')->where('docket_id', $docketId)->whereNull('closed_on')
            ->whereHas('legs', fn ($legs) => $legs->where('kind', LegKind::Accept)->whereNull('done_on'))->orderBy('id')->limit(self::TOGETHER)->get();
        $lines = DocketLine::query()->where('docket_id', $docketId)->where('state', LineState::Begun)->whereIn('name_id', $movements->pluck('name_id'))->lockForUpdate()->get()->keyBy('name_id');
        $openings = new Openings($this->database, $this->gateOrders);
        foreach ($acceptance->accepted === true ? $movements : [] as $movement) {
            $line = $lines->get($movement->name_id);
            if ($line instanceof DocketLine && $line->giving_account_id !== null) {
                $this->tell->handle($openings, $line, $line->giving_account_id, $acceptance->account, array_values($movement->legs->map(fn (Leg $leg): LegKind => $leg->kind)->all()), $acceptance->answered_on);
            }
        }
        $openings->write();
        Leg::query()->whereIn('movement_id', $movements->modelKeys())->where('kind', LegKind::Accept)->update(['done_on' => $acceptance->answered_on?->isoSecond()]);
        // Lines that begin later, of the same docket, find the word given.
        if ($movements->count() < self::TOGETHER) {
            $acceptance->update(['carried_at' => gmdate('c')]);
        }

        return $movements->count() >= self::TOGETHER;
    }
}
