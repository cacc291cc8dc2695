<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use App\Actions\Handover\HandOverNames;
use App\Actions\Registrar\ChangeRegistrant;
use App\Actions\Transfer\TransferAway;
use App\Actions\Transfer\TransferNames;

/** Where a movement leads, as far as its page sorts them. */
enum Direction: string
{
    /** To another registrar, in an account of ours. */
    case Arriving = 'arriving';
    case Leaving = 'leaving';
    /** Between accounts of one registrar. */
    case Handover = 'handover';
    /** To another registrant, in the same account. */
    case Registrant = 'registrant';

    public function deed(): string
    {
        return match ($this) {
            self::Arriving => TransferNames::key(),
            self::Leaving => TransferAway::key(),
            self::Handover => HandOverNames::key(),
            self::Registrant => ChangeRegistrant::key(),
        };
    }
}
