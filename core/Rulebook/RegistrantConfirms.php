<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** Who must confirm that a name gets another registrant. */
enum RegistrantConfirms: string
{
    /** The prior and the new registrant, or a designated agent for either (ICANN Transfer Policy, section II). */
    case Both = 'both';
    /** The new one alone. */
    case New = 'new';
    /** The registrar's word is enough. */
    case Nobody = 'nobody';
    /** The registry itself, on a form of its own and often for a fee. */
    case Registry = 'registry';

    public function asks(Side $side): bool
    {
        return match ($this) {
            self::Both => true,
            self::New => $side === Side::New,
            self::Nobody, self::Registry => false,
        };
    }
}
