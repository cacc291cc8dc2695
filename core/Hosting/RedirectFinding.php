<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a redirect that somebody wants would meet. */
enum RedirectFinding: string implements FindingTag
{
    case ToItself = 'to_itself';
    /** The target leads back, by what is planned for it. */
    case Loop = 'loop';
    /** The target leads on. */
    case LeadsOn = 'leads_on';
    case HasPages = 'has_pages';
    /** The name is at another place than the one that is to redirect it. */
    case NotThere = 'not_there';
    /** Browsers ask names of this suffix over TLS alone. */
    case SecureOnly = 'secure_only';

    public static function area(): string
    {
        return 'redirect';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::ToItself => ['host'],
            self::Loop => ['host', 'through'],
            self::LeadsOn => ['target', 'to'],
            self::HasPages => ['host', 'place'],
            self::NotThere => ['host', 'place', 'addresses'],
            self::SecureOnly => ['suffix'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::ToItself, self::Loop, self::NotThere, self::HasPages => Cost::Dark,
            self::LeadsOn, self::SecureOnly => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::SecureOnly => Actor::Host,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::ToItself => Cure::LeaveOut,
            self::NotThere => Cure::SetRecords,
            default => null,
        };
    }
}
