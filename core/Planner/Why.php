<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

/** Why a name begins on its day, or on none. */
enum Why: string
{
    /** It is the first on which it is safe, and may begin. */
    case First = 'first';
    /** Its first safe day is still to come; this is it. */
    case Held = 'held';
    /** The days before it are full. */
    case Full = 'full';
    /** The days before it are quiet. */
    case Quiet = 'quiet';
    /** It goes ahead of all others, so that they don't meet what it meets. */
    case Pilot = 'pilot';
    /** It waits until the pilot has arrived. */
    case AfterPilot = 'after_pilot';
    /** It can't wait for the pilot: its end, or a charge, is too near. */
    case BeforePilot = 'before_pilot';
    /** What it guards has arrived first. */
    case GuardLast = 'guard_last';
    /** Its end is too near to wait for what it guards: those wait for it. */
    case GuardFirst = 'guard_first';
    /** It waits until what guards it has arrived. */
    case Guarded = 'guarded';
    /** All days before something is charged are taken. */
    case Late = 'late';

    /** None: it ends before it is safe. */
    case NeverSafe = 'never_safe';
    /** None: all its days are taken. */
    case NoRoom = 'no_room';
    /** None: the money doesn't reach. */
    case NoMoney = 'no_money';

    public function isPlaced(): bool
    {
        return ! in_array($this, [self::NeverSafe, self::NoRoom, self::NoMoney], true);
    }
}
