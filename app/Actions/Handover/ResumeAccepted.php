<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\WaitsForWord;
use App\Actions\Gates\GateOrders;
use App\Actions\Setbacks\SetAside;
use App\Models\Acceptance;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Models\SetbackKind;
use App\Queries\Names\CaseFiles;
use App\Support\Failpoint;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;
use LogicException;

/**
 * The receiver has answered: what waited for it goes on, or ends with their words; some names a transaction, and killed anywhere, it goes
 * on where it was.
 */
final readonly class ResumeAccepted
{
    private const TOGETHER = 100;

    /** Of a transaction that another one was in the way of. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private GateOrders $gateOrders,
        private EndLines $end,
        private SetAside $aside,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function handle(int $docketId): void
    {
        $this->aside->attempt(
            SetbackKind::Acceptance,
            $docketId,
            function () use ($docketId): void {
                do {
                    $more = $this->database->transaction(fn (): bool => $this->some($docketId), self::TRIES);
                    Failpoint::AcceptedCarried->reach();
                } while ($more);
            },
            docketId: $docketId,
        );
    }

    /** Those whose job was lost with its worker. */
    public function sweep(): void
    {
        foreach (
            Row::all($this->database->select('SELECT docket_id FROM acceptances
                WHERE answered_on IS NOT NULL AND carried_at IS NULL')) as $row
        ) {
            $this->handle($row->int('docket_id'));
        }
    }

    /** @return bool whether there may be more */
    private function some(int $docketId): bool
    {
        Docket::query()->lockForUpdate()->find($docketId);
        $acceptance = Acceptance::query()->whereNull('carried_at')->whereNotNull('answered_on')->lockForUpdate()->find($docketId);
        if ($acceptance === null) {
            return false;
        }
        $count = $acceptance->accepted === true ? $this->goOn($acceptance) : $this->end($acceptance);
        // Lines that begin later, of the same docket, find the word given.
        if ($count < self::TOGETHER) {
            $acceptance->update(['carried_at' => gmdate('c')]);
        }

        return $count >= self::TOGETHER;
    }

    /** @return int of how many names */
    private function goOn(Acceptance $acceptance): int
    {
        $docket = Docket::query()->findOrFail($acceptance->docket_id);
        $deed = $this->deeds->of($docket);
        $movements = Movement::query()
            ->where('docket_id', $docket->id)
            ->whereNull('closed_on')
            ->whereHas('legs', fn ($legs) => $legs->where('kind', LegKind::Accept)->whereNull('done_on'))
            ->orderBy('id')
            ->limit(self::TOGETHER)
            ->get();
        // Those that wait for somebody else's word too go on with that.
        $lines = DocketLine::query()
            ->with('docket')
            ->withoutOpenWord()
            ->where('docket_id', $docket->id)
            ->where('state', LineState::Begun)
            ->whereIn('name_id', $movements->pluck('name_id'))
            ->orderBy('name_id')
            ->lockForUpdate()
            ->get();
        $files = $this->files->held(
            array_map(fn (DocketLine $line): int => $line->name_id, array_values($lines->all())),
            $this->clock->now(),
        );
        $openings = new PendingWrites($this->database, $this->gateOrders);
        foreach ($lines as $line) {
            if ($deed instanceof WaitsForWord && isset($files[$line->name_id])) {
                $deed->goOn($line, $files[$line->name_id], $docket->terms, $openings);
            }
        }
        $openings->write();
        Leg::query()
            ->whereIn('movement_id', $movements->modelKeys())
            ->where('kind', LegKind::Accept)
            ->update(['done_on' => $acceptance->answered_on?->isoSecond()]);

        return $movements->count();
    }

    /** @return int of how many names */
    private function end(Acceptance $acceptance): int
    {
        $docket = Docket::query()->with('settler')->findOrFail($acceptance->docket_id);
        /** @var list<int> $lines */
        $lines = DocketLine::query()
            ->where('docket_id', $docket->id)
            ->where('state', LineState::Begun)
            ->orderBy('name_id')
            ->limit(self::TOGETHER)
            ->pluck('id')
            ->all();
        if ($lines !== []) {
            $said =
                $acceptance->words === null
                    ? $this->words->say('letters.refused')
                    : $this->words->say('letters.refused_because', ['words' => $acceptance->words]);
            $this->end->refused($docket->settler ?? throw new LogicException('Nobody settled it.'), $docket, $lines, $said);
        }

        return count($lines);
    }
}
