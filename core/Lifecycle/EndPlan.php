<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Darkness;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Rulebook\RuleSet;

/**
 * What surrounds the end of a term, in days from that end: the same for every name for which rules, terms and intent are the
 * same, so it is worked out once for all of them.
 */
final readonly class EndPlan
{
    /**
     * @param  list<array{Phase, int|null, int|null, Rescue}>  $stages  from the term itself without gap or overlap: the days on which each
     *     begins and ends; null: open
     * @param  list<array{EventKind, int, 'renew'|'late'|'restore'|null, bool}>  $events  in order: the day, which of the terms' sums is
     *     due, whether it is certain
     * @param  int  $ahead  for how many days the registry's record is a year ahead of what was paid: all the grace that it gives after
     *     renewing by itself, however much of it the registrar keeps (RFC 3915 §3.1)
     * @param  int  $plain  the day until which renewing costs what it cost before, as far as anybody says so
     */
    private function __construct(public array $stages, public array $events, public int $ahead, public int $plain)
    {
    }

    public static function of(RuleSet $rules, LateTerms $terms, Intent $intent): self
    {
        $stages = self::stages($rules, $terms);

        $ahead = 0;
        foreach ($rules->end->value as $phase) {
            $ahead += $phase->phase === Phase::Grace && $phase->cut ? $phase->days : 0;
        }

        $byRule = $terms->plainAfter === null ? self::plainDays($rules, $stages) : null;
        $plain = min($terms->plainAfter ?? ($byRule ?? 0), self::until($stages, Rescue::Renew) ?? 0);

        return new self(
            $stages,
            self::events($rules, $terms, $intent, $stages, $plain, $terms->plainAfter !== null || $byRule !== null),
            $ahead,
            $plain,
        );
    }

    /** The day on which a phase begins; null: there is none like it. */
    public function begin(Phase $phase): ?int
    {
        foreach ($this->stages as $stage) {
            if ($stage[0] === $phase) {
                return $stage[1];
            }
        }

        return null;
    }

    /** For how many days a phase lasts; null: none like it, or for ever. */
    public function days(Phase $phase): ?int
    {
        foreach ($this->stages as [$one, $from, $to]) {
            if ($one === $phase) {
                return $from === null || $to === null ? null : $to - $from;
            }
        }

        return null;
    }

    /** @return list<array{Phase, int|null, int|null, Rescue}> */
    private static function stages(RuleSet $rules, LateTerms $terms): array
    {
        $stages = [[Phase::InTerm, null, 0, Rescue::Renew]];
        $at = 0;
        foreach ($rules->end->value as $phase) {
            $days = $phase->cut && $terms->lateUntil !== null ? min($phase->days, $terms->lateUntil) : $phase->days;
            if ($days === 0) {
                continue;
            }
            $stages[] = [$phase->phase, $at, $at + $days, $phase->rescue];
            $at += $days;
        }
        $stages[] = [Phase::Released, $at, null, Rescue::Nothing];

        return $stages;
    }

    /**
     * @param  list<array{Phase, int|null, int|null, Rescue}>  $stages
     * @return list<array{EventKind, int, 'renew'|'late'|'restore'|null, bool}>
     */
    private static function events(RuleSet $rules, LateTerms $terms, Intent $intent, array $stages, int $plain, bool $isSaid): array
    {
        $events = [];
        if ($intent === Intent::AskClient) {
            $events[] = [EventKind::AskBy, -$terms->askLead, null, true];
        }
        if ($intent === Intent::ByItself) {
            $events[] = [EventKind::Charge, -$terms->chargeLead, 'renew', true];
        }
        $events[] = [EventKind::End, 0, null, true];
        $events[] = self::dark($rules, $terms, $stages);
        $renewable = self::until($stages, Rescue::Renew) ?? 0;
        if ($plain < $renewable || $terms->restore !== null) {
            $events[] = [EventKind::LastPlain, $plain, 'late', $isSaid];
        }
        $deleted = self::from($stages, Rescue::Restore);
        if ($deleted !== null) {
            $events[] = [EventKind::Deleted, $deleted, 'restore', true];
        }
        $events[] = [EventKind::LastAtAll, self::until($stages, Rescue::Restore) ?? $renewable, null, true];
        $events[] = [EventKind::Released, $stages[count($stages) - 1][1] ?? 0, null, true];
        // What falls on one day stays in the order of the kinds, in which they were made.
        usort($events, fn (array $one, array $other): int => $one[1] <=> $other[1]);

        return $events;
    }

    /**
     * @param  list<array{Phase, int|null, int|null, Rescue}>  $stages
     * @return array{EventKind, int, null, bool}
     */
    private static function dark(RuleSet $rules, LateTerms $terms, array $stages): array
    {
        $at = 0;
        foreach ($rules->end->value as $phase) {
            $stage = array_values(array_filter($stages, fn (array $one): bool => $one[0] === $phase->phase))[0] ?? null;
            if ($stage === null) {
                continue;
            }
            $at = $stage[1] ?? 0;
            if ($phase->dark === Darkness::Dark) {
                break;
            }
            if ($phase->dark === Darkness::May) {
                // By the recovery policy at the latest: the last days in which it can be renewed are dark.
                $latest = ($stage[2] ?? $at) - $rules->lastDark->value;

                return [EventKind::Dark, max(0, min($terms->darkAfter ?? $at, $latest)), null, $terms->darkAfter !== null];
            }
        }

        return [EventKind::Dark, $terms->darkAfter === null ? $at : min($at, $terms->darkAfter), null, true];
    }

    /**
     * @param  list<array{Phase, int|null, int|null, Rescue}>  $stages
     * @return int|null how many days after the end the suffix itself keeps the plain price; null: it says nothing of that
     */
    private static function plainDays(RuleSet $rules, array $stages): ?int
    {
        $days = null;
        foreach ($rules->end->value as $place => $phase) {
            if (! $phase->isPlain) {
                break;
            }
            $days = $stages[$place + 1][2] ?? $days;
        }

        return $days;
    }

    /** @param  list<array{Phase, int|null, int|null, Rescue}>  $stages */
    private static function from(array $stages, Rescue $rescue): ?int
    {
        foreach ($stages as $stage) {
            if ($stage[3] === $rescue) {
                return $stage[1];
            }
        }

        return null;
    }

    /** @param  list<array{Phase, int|null, int|null, Rescue}>  $stages */
    private static function until(array $stages, Rescue $rescue): ?int
    {
        $until = null;
        foreach ($stages as $stage) {
            $until = $stage[3] === $rescue ? $stage[2] : $until;
        }

        return $until;
    }
}
