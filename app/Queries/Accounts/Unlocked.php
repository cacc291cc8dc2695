<?php

declare(strict_types=1);

namespace App\Queries\Accounts;

/** Accounts that were unlocked for a handover, and that nobody has said are locked again since. */
final class Unlocked
{
    /** The legs `g` that wait for that, their movements `m`, and the lines `l` that say whose account it is. */
    public const OPEN = "FROM legs g JOIN movements m ON m.id = g.movement_id AND m.closed_on IS NOT NULL
        JOIN docket_lines l ON l.docket_id = m.docket_id AND l.name_id = m.name_id
         WHERE g.kind = 'lock_account' AND g.done_on IS NULL";
}
