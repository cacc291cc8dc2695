<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

/** Of what the Almanac is shown. */
enum ScopeKind: string
{
    case All = 'all';
    case Account = 'account';
    case Registrar = 'registrar';
    case Client = 'client';
}
