<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\Readiness;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\User;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Records a deed that is to be done to many names: the docket and a line a name, those that can't go with their reasons. */
final readonly class PrepareDocket
{
    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * A second press of the same button finds the docket that the first one made.
     *
     * @param  string  $token  the form's one-time id
     * @param  list<int>  $nameIds
     * @param  array<string, mixed>  $terms
     * @param  list<int>  $shownClear  the names that the page said could go: fewer may go, never more
     * @param  array<int, string>|null  $shownCosts  what it said that they cost, by name; null: it said nothing of that
     *
     * @throws DeedError when nothing can go, more would than was shown, or at another price
     */
    public function handle(
        User $user,
        string $token,
        string $deed,
        array $nameIds,
        array $terms,
        array $shownClear,
        ?array $shownCosts = null,
    ): Docket {
        return $this->database->transaction(function () use ($user, $token, $deed, $nameIds, $terms, $shownClear, $shownCosts): Docket {
            $this->database->select('SELECT pg_advisory_xact_lock(hashtext(?))', [$token]);
            $before = Docket::query()->where('token', $token)->first();
            if ($before !== null) {
                return $before;
            }
            $now = $this->clock->now();
            $files = $this->files->of($nameIds, $now);
            $contract = $this->deeds->named($deed);
            $judged = Deeds::judgeAll($contract, $files, $terms, $now);
            $clear = array_keys(array_filter($judged, fn (Readiness $readiness): bool => $readiness->isClear()));
            if ($clear === []) {
                throw DeedError::nothingCanGo();
            }
            if (array_diff($clear, $shownClear) !== []) {
                throw DeedError::shownHasChanged();
            }
            $costs = self::costs($contract, $files, $clear, $terms);
            foreach ($shownCosts === null ? [] : $clear as $id) {
                if (LineCost::text($costs[$id] ?? null) !== ($shownCosts[$id] ?? '')) {
                    throw DeedError::pricesHaveChanged();
                }
            }
            $docket = Docket::query()->create([
                'token' => $token,
                'deed' => $deed,
                'state' => DocketState::Prepared,
                'terms' => $terms,
                'digest' => hash('sha256', (string) json_encode([$deed, $terms, $shownClear])),
                'prepared_by' => $user->id,
                'prepared_on' => $now,
            ]);
            $rows = [];
            $lots = new Lots();
            foreach ($files as $id => $file) {
                $isClear = $judged[$id]->isClear();
                $change = Deeds::beforeAndAfter($contract, $file, $terms);
                $held = $file instanceof HeldCase ? $file : null;
                $rows[] = [
                    'docket_id' => $docket->id,
                    'name_id' => $id,
                    'giving_account_id' => $held?->account->id,
                    'position' => count($rows) + 1,
                    'lot' => $isClear ? $lots->next($held->account->id ?? 0, $held->lotSize ?? 1) : 0,
                    'state' => ($isClear ? LineState::Prepared : LineState::Stopped)->value,
                    'findings' => json_encode($judged[$id]->findings, JSON_THROW_ON_ERROR),
                    'before' => json_encode($change['before'], JSON_THROW_ON_ERROR),
                    'after' => json_encode($change['after'], JSON_THROW_ON_ERROR),
                    ...LineCost::columns($costs[$id] ?? null),
                    'created_at' => $now->isoSecond(),
                    'updated_at' => $now->isoSecond(),
                ];
            }
            foreach (array_chunk($rows, 500) as $chunk) {
                DocketLine::query()->insert($chunk);
            }
            $this->log->write(
                'prepared',
                'docket',
                $docket->id,
                ['deed' => $deed, 'clear' => count($clear), 'stopped' => count($files) - count($clear)],
                $user->id,
            );

            return $docket;
        });
    }

    /**
     * @param  array<int, RollCase>  $files
     * @param  list<int>  $clear
     * @param  array<string, mixed>  $terms
     * @return array<int, LineCost|null> by name
     */
    private static function costs(Deed $deed, array $files, array $clear, array $terms): array
    {
        $costs = [];
        if (! $deed instanceof Costs) {
            return [];
        }
        foreach ($clear as $id) {
            $file = $files[$id] ?? null;
            $costs[$id] = $file instanceof HeldCase ? $deed->costs($file, $terms) : null;
        }

        return $costs;
    }
}
