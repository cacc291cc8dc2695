<?php

declare(strict_types=1);

namespace Standin\Registry;

/** What a registry does with a name at its end. Days from memory of what such registries publish, not from any rule of ours. */
enum EndHabit
{
    /** It renews by itself and takes that back if the registrar deletes in time. */
    case Renews;
    /** It waits, suspends, and at last cancels. */
    case Suspends;
    /** There is no end: it goes on until it is given up. */
    case GoesOn;

    /** When something next happens to a name by itself. */
    public function due(Registered $name): ?int
    {
        $day = 86_400;
        if ($name->ends === null || $this === self::GoesOn) {
            return null;
        }
        if ($this === self::Suspends) {
            return $name->has('serverHold') ? $name->ends + 90 * $day : ($name->autoRenew ? $name->ends : $name->ends + 30 * $day);
        }

        $since = $name->stage ?? $name->updated;

        return match (true) {
            $name->has('redemptionPeriod') => $since + 30 * $day,
            // So long a report is awaited (RFC 3915 §3.1; the days are its common practice).
            $name->has('pendingRestore') => $since + 7 * $day,
            $name->has('pendingDelete') => $since + 5 * $day,
            $name->has('autoRenewPeriod') => $since + ($name->autoRenew ? 45 : 30) * $day,
            default => $name->ends,
        };
    }

    /** Lets it happen; null when the name is gone. */
    public function pass(Registered $name, int $at): ?Registered
    {
        $name->updated = $at;
        if ($this === self::Suspends) {
            if ($name->has('serverHold')) {
                return null;
            }
            if ($name->autoRenew) {
                $name->ends = self::yearAfter($name->ends ?? $at);
            } else {
                $name->change([], ['serverHold']);
            }
        } elseif ($name->has('redemptionPeriod')) {
            $name->change(['redemptionPeriod'], ['pendingDelete']);
            $name->stage = $at;
        } elseif ($name->has('pendingRestore')) {
            $name->change(['pendingRestore'], ['redemptionPeriod']);
            $name->stage = $at;
        } elseif ($name->has('pendingDelete')) {
            return null;
        } elseif ($name->has('autoRenewPeriod')) {
            $name->autoRenew ? $name->change(['autoRenewPeriod'], []) : $name->delete($at);
        } else {
            $name->ends = self::yearAfter($name->ends ?? $at);
            $name->change([], ['autoRenewPeriod']);
            $name->stage = $at;
        }
        $name->due = $this->due($name);

        return $name;
    }

    /** The 29th of February has its anniversary on the 28th. */
    public static function yearAfter(int $epoch): int
    {
        return self::anniversary($epoch, 1);
    }

    public static function yearBefore(int $epoch): int
    {
        return self::anniversary($epoch, -1);
    }

    private static function anniversary(int $epoch, int $years): int
    {
        [$year, $month, $day, $time] = array_map(intval(...), explode('-', gmdate('Y-n-j-', $epoch).($epoch % 86_400)));

        return (int) gmmktime(0, 0, 0, $month, $month === 2 && $day === 29 ? 28 : $day, $year + $years) + $time;
    }
}
