<?php

declare(strict_types=1);

namespace App\Models;

/** Whose name servers they are. */
enum SetKind: string
{
    /** A registrar's own service, which ends when the name leaves it. */
    case Registrar = 'registrar';
    case Host = 'host';
    case Ours = 'ours';
}
