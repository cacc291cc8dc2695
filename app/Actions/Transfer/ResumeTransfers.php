<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Gates\GateOrders;
use App\Actions\Movements\TakeLegs;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Registration;
use App\Queries\Names\CaseFiles;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;

/** Transfers that waited for what a person does at the losing registrar go on once its code is in hand: that step is its last. */
final readonly class ResumeTransfers
{
    private const TRIES = 3;

    private const FIRST = [LegKind::LiftLock, LegKind::RenewOff, LegKind::Code];

    public function __construct(
        private Connection $database,
        private CaseFiles $files,
        private GateOrders $orders,
        private JudgeTransfers $judge,
        private TellTransfer $tell,
        private TakeLegs $legs,
        private TradeClock $clock,
    ) {
    }

    /** @param  list<int>  $nameIds */
    public function of(array $nameIds): void
    {
        $dockets = DocketLine::query()
            ->whereIn('name_id', $nameIds)
            ->where('state', LineState::Begun)
            ->whereHas('docket', fn ($docket) => $docket->whereIn('deed', [TransferNames::key(), TransferAway::key()]))
            ->distinct()
            ->orderBy('docket_id')
            ->pluck('docket_id');
        foreach ($dockets as $id) {
            if (is_int($id)) {
                $this->database->transaction(fn () => $this->some($id, $nameIds), self::TRIES);
            }
        }
    }

    /** @param  list<int>  $nameIds */
    private function some(int $docketId, array $nameIds): void
    {
        $docket = Docket::query()->lockForUpdate()->findOrFail($docketId);
        $lines = DocketLine::query()
            ->with('docket')
            ->where('docket_id', $docketId)
            ->where('state', LineState::Begun)
            ->whereIn('name_id', $nameIds)
            // What its registrar is told goes on by itself.
            ->whereNotExists(
                fn (Builder $orders) => $orders
                    ->selectRaw('1')
                    ->from('orders')
                    ->whereColumn('orders.docket_line_id', 'docket_lines.id')
                    ->where('orders.state', '<>', 'called_off'),
            )
            ->orderBy('name_id')
            ->lockForUpdate()
            ->get();
        $ids = array_map(fn (DocketLine $line): int => $line->name_id, array_values($lines->all()));
        Name::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get();
        $now = $this->clock->now();
        if ($docket->deed === TransferNames::key()) {
            $this->ask($docket, $lines, $now);
        }
        $this->legs->take($ids, self::FIRST, $now);
        // Whoever read the code there has lifted the lock before: that stands before it on the slip.
        Registration::query()
            ->whereIn('name_id', $ids)
            ->whereRaw('upper_inf(span)')
            ->where('lock', Lock::On)
            ->update(['lock' => Lock::Off->value]);
    }

    /** @param  Collection<int, DocketLine>  $lines */
    private function ask(Docket $docket, Collection $lines, Instant $now): void
    {
        $gaining = Account::query()->with('registrar')->findOrFail(TransferTerms::unpack($docket->terms)->accountId);
        $files = $this->files->held(array_map(fn (DocketLine $line): int => $line->name_id, array_values($lines->all())), $now);
        $this->judge->readAhead(array_values($files), $gaining, $now);
        $openings = new PendingWrites($this->database, $this->orders);
        foreach ($lines as $line) {
            $file = $files[$line->name_id] ?? null;
            if ($file !== null) {
                $this->tell->ask($openings, $line, $file->account, $gaining, $this->judge->fee($file));
            }
        }
        $openings->write();
    }
}
