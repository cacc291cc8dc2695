<?php

declare(strict_types=1);

namespace App\Models;

enum DocketState: string
{
    case Prepared = 'prepared';
    case Settled = 'settled';
    case Closed = 'closed';
    case CalledOff = 'called_off';
}
