<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Readiness;
use Acre\Core\Movement\Verdict;
use Acre\Core\Planner\Candidate;
use Acre\Core\Planner\Planner;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\LastDays;
use App\Actions\Deeds\Deeds;
use App\Actions\Transfer\JudgeTransfers;
use App\Actions\Transfer\TransferNames;
use App\Models\Account;
use App\Queries\Deeds\JudgedName;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Support\TradeClock;

/** Plans a migration from what is known of its names today: when each is safe, when it would be charged twice, and what guards what. */
final readonly class MakePlan
{
    public function __construct(
        private CaseFiles $files,
        private Deeds $deeds,
        private JudgeTransfers $judge,
        private TradeClock $clock,
    ) {
    }

    /** @param  list<int>  $nameIds */
    public function of(array $nameIds, PlanTerms $terms): MadePlan
    {
        $now = $this->clock->now();
        $deed = $this->deeds->named(TransferNames::key());
        $packed = $terms->transfer->pack();
        $files = $this->files->of($nameIds, $now);
        $judged = Deeds::judgeAll($deed, $files, $packed, $now);
        $held = array_filter($files, fn (RollCase $file): bool => $file instanceof HeldCase);
        $this->judge->readAhead(array_values($held), Account::query()->with('registrar')->findOrFail($terms->transfer->accountId), $now);
        $names = $cannot = $candidates = [];
        $guards = self::guards($files);
        foreach ($files as $id => $file) {
            $readiness = $judged[$id];
            if (! $file instanceof HeldCase || self::isStopped($readiness)) {
                $cannot[] = new JudgedName($file, $readiness);

                continue;
            }
            $candidates[$id] = $this->candidate($file, $readiness, $guards[$id] ?? [], $now);
        }
        $plan = Planner::plan(array_values($candidates), $terms->limits($now));
        foreach ($plan->placed as $placed) {
            $file = $held[$placed->candidate->key];
            $names[$file->nameId] = new PlannedName(
                $file,
                $placed,
                $this->judge->price($file),
                $judged[$file->nameId]->from,
                LastDays::of($file->facts->ends, $file->late, $now)->charged,
                $file->late->renew,
            );
        }

        return new MadePlan($plan, $names, $cannot);
    }

    /** What only its end does to a transfer today is what the plan is for. */
    private static function isStopped(Readiness $readiness): bool
    {
        $stops = array_filter(
            $readiness->findings,
            fn (Finding $one): bool => in_array($one->effect, [Effect::Stops, Effect::NotKnown], true),
        );

        return $stops !== [];
    }

    /** @param  list<int>  $guards  of the same migration */
    private function candidate(HeldCase $file, Readiness $readiness, array $guards, Instant $now): Candidate
    {
        $days = LastDays::of($file->facts->ends, $file->late, $now);
        $price = $this->judge->price($file);

        return new Candidate(
            $file->nameId,
            $readiness->verdict === Verdict::ClearFrom && $readiness->from !== null ? $readiness->from : $now,
            $days->sensible,
            $days->last,
            self::hundredths($price),
            self::hundredths($file->late->renew),
            $guards,
        );
    }

    /**
     * Names whose registrant's mailbox, or whose name servers, lie in another of them.
     *
     * @param  array<int, RollCase>  $files
     * @return array<int, list<int>> by the one that guards
     */
    private static function guards(array $files): array
    {
        $ids = [];
        foreach ($files as $id => $file) {
            $ids[$file->facts->name->ascii] = $id;
        }
        $guards = [];
        foreach ($files as $id => $file) {
            $in = $file instanceof HeldCase && $file->guard?->site !== null ? [$ids[$file->guard->site] ?? $id] : [];
            foreach ($file->servers as $host) {
                $in[] = self::within($host, $ids) ?? $id;
            }
            foreach (array_unique($in) as $guard) {
                if ($guard !== $id) {
                    $guards[$guard][] = $id;
                }
            }
        }

        return $guards;
    }

    /**
     * @param  array<string, int>  $ids  by name
     * @return int|null of the name that a host lies in; null: in none of them
     */
    private static function within(string $host, array $ids): ?int
    {
        for ($rest = $host; $rest !== ''; $rest = substr((string) strstr($rest, '.'), 1)) {
            if (isset($ids[$rest])) {
                return $ids[$rest];
            }
        }

        return null;
    }

    private static function hundredths(?Money $money): int
    {
        return $money === null ? 0 : (int) round(100 * (float) $money->decimal());
    }
}
