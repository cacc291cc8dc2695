<?php

declare(strict_types=1);

namespace Acre\Core\Custody;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What puts an account, and every name in it, at risk. */
enum CustodyFinding: string implements FindingTag
{
    /** Nobody who is still there can sign in. */
    case Nobody = 'nobody';
    case OnePerson = 'one_person';
    case OneFactor = 'one_factor';
    /** Whoever holds it has left. */
    case HeldByOneWhoLeft = 'held_by_one_who_left';
    case LoginInside = 'login_inside';
    case LoginLapses = 'login_lapses';
    case CardEnds = 'card_ends';
    case NoWayBack = 'no_way_back';
    case HostBehindIt = 'host_behind_it';

    public static function area(): string
    {
        return 'custody';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::Nobody, self::NoWayBack, self::HostBehindIt => [],
            self::OnePerson, self::OneFactor, self::HeldByOneWhoLeft => ['who'],
            self::LoginInside, self::LoginLapses => ['mailbox', 'site'],
            self::CardEnds => ['who', 'until', 'charge'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::Nobody, self::LoginLapses => Cost::NameLost,
            self::HeldByOneWhoLeft, self::LoginInside => Cost::Dark,
            self::CardEnds => Cost::Money,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return Actor::House;
    }

    public function cure(): Cure
    {
        return match ($this) {
            self::LoginInside, self::LoginLapses => Cure::OtherMailbox,
            self::CardEnds => Cure::OtherCard,
            self::Nobody => Cure::GainAccess,
            self::NoWayBack => Cure::SayWayBack,
            self::HostBehindIt => Cure::KeepApart,
            default => Cure::AnotherPerson,
        };
    }
}
