<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Finding\Cost;

/** What comes in a name's life. */
enum EventKind: string
{
    /** The client must have said whether to keep it. */
    case AskBy = 'ask_by';
    /** An auto-renewal is charged. */
    case Charge = 'charge';
    /** The paid term ends. */
    case End = 'end';
    /** It stops answering, at the earliest. */
    case Dark = 'dark';
    /** From here keeping it costs more. */
    case LastPlain = 'last_plain';
    /** It is deleted, and only to be restored from here. */
    case Deleted = 'deleted';
    /** From here nobody can keep it. */
    case LastAtAll = 'last_at_all';
    /** Free for anybody. */
    case Released = 'released';
    case HoldEnds = 'hold_ends';

    /** What it costs to let it pass without having acted. */
    public function cost(): Cost
    {
        return match ($this) {
            self::LastAtAll, self::Released => Cost::NameLost,
            self::Charge, self::End, self::Dark, self::Deleted => Cost::Dark,
            self::LastPlain => Cost::Money,
            self::AskBy, self::HoldEnds => Cost::Attention,
        };
    }
}
