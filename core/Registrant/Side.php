<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Movement\LegKind;

/** Who must say yes when a name gets another registrant. */
enum Side: string
{
    /** The one who is it until then. */
    case Prior = 'prior';
    case New = 'new';

    public function leg(): LegKind
    {
        return $this === self::Prior ? LegKind::ConfirmPrior : LegKind::ConfirmNew;
    }
}
