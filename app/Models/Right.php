<?php

declare(strict_types=1);

namespace App\Models;

/** The four things that a role can allow. */
enum Right: string
{
    /** See whatever the house keeps. */
    case Look = 'look';
    /** Bring names in, gather them, record clients, accounts and terms, and prepare a deed. */
    case Prepare = 'prepare';
    /** Spend and move names: settle a deed, tick a slip. */
    case Settle = 'settle';
    /** Say who may sign in, and set the house's settings. */
    case Run = 'run';
}
