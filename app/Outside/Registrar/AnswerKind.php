<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

enum AnswerKind
{
    case Done;
    /** Taken, and somebody else must act before it is done. */
    case Pending;
    case Refused;
    /** Nothing was wrong with it, and it was not carried out: it may be told again. */
    case Later;
}
