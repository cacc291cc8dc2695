<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Rulebook\Side;

/**
 * For which side of a change of registrant the house confirms itself, authorised by it beforehand (ICANN Transfer Policy, section
 * II.A.1.2).
 */
enum DesignatedAgent: string
{
    /** For neither: whoever must confirm is written to. */
    case Nobody = 'nobody';
    case Prior = 'prior';
    case New = 'new';
    case Both = 'both';

    public function actsFor(Side $side): bool
    {
        return $this === self::Both || $this->value === $side->value;
    }
}
