<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What turning DNSSEC on or off would meet. */
enum DnssecFinding: string implements FindingTag
{
    case NotAsked = 'not_asked';
    /** Its zone is not signed, so there is nothing that a DS could name. */
    case NotSigned = 'not_signed';
    /** With the DS, the proof would break: nobody who validates would get an answer. */
    case WouldBreak = 'would_break';
    /** The zone itself asks that there be no DS (RFC 8078 §4). */
    case WantsNone = 'wants_none';
    /** Its name servers are being changed, and the registry does not show it yet. */
    case Changing = 'changing';
    /** Answers of the name servers before may be kept, which the keys of these don't prove (RFC 6781 §4.3.5.1). */
    case OldAnswers = 'old_answers';
    /** After the DS is gone its signatures are still needed for a while (RFC 6781 §4.3). */
    case KeepSigning = 'keep_signing';

    public static function area(): string
    {
        return 'dnssec';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NotAsked, self::NotSigned, self::WantsNone, self::Changing => [],
            self::WouldBreak => ['fault'],
            self::KeepSigning, self::OldAnswers => ['until'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::WouldBreak, self::OldAnswers, self::Changing => Cost::Dark,
            self::KeepSigning => Cost::Attention,
            default => Cost::MovementFails,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::NotAsked => Actor::House,
            self::OldAnswers, self::Changing => Actor::Time,
            default => Actor::Host,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NotAsked => Cure::AskServers,
            self::NotSigned, self::WouldBreak, self::WantsNone => Cure::AskHost,
            self::OldAnswers, self::Changing => Cure::Wait,
            self::KeepSigning => null,
        };
    }
}
