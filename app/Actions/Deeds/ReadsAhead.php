<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;

/** A deed that reads at once what completing many names would ask for one by one. */
interface ReadsAhead extends Deed
{
    /**
     * In the lines' transaction, the names locked, right before they are completed.
     *
     * @param  list<HeldCase>  $files
     */
    public function readAhead(array $files, Instant $on): void;
}
