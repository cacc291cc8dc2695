<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Models\DocketLine;
use App\Queries\Names\HeldCase;

/** A deed of which nothing happened outside, so that it can be undone. What a name was stands in the line's `was`. */
interface Undoable extends Deed
{
    /** Whether the name still is as the line made it; otherwise undoing would undo somebody else's work. */
    public function isAsMade(HeldCase $file, DocketLine $line): bool;

    /** In the undoing line's transaction, the name locked. */
    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void;
}
