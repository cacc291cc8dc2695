<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a change of records would meet, or break. */
enum RecordsFinding: string implements FindingTag
{
    /** Nobody has kept a copy of the zone, so nobody knows what the change does to it. */
    case NoCopy = 'no_copy';
    /** Which servers have a zone, and its keys, are changed by deeds of their own. */
    case OfServers = 'of_servers';
    /** RFC 1034 §3.6.2, RFC 2181 §10.1. */
    case AliasBesideOthers = 'alias_beside_others';
    /** Something that hangs on what goes, or becomes another. */
    case Breaks = 'breaks';

    public static function area(): string
    {
        return 'records';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NoCopy => [],
            self::OfServers => ['records'],
            self::AliasBesideOthers => ['host'],
            self::Breaks => ['service', 'records'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::Breaks => Cost::Dark,
            default => Cost::MovementFails,
        };
    }

    public function actor(): Actor
    {
        return Actor::House;
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NoCopy => Cure::KeepZone,
            self::OfServers => Cure::ChangeServers,
            self::AliasBesideOthers, self::Breaks => null,
        };
    }
}
