<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Models\DocketLine;
use App\Queries\Names\HeldCase;

/** A deed of which a line may wait for somebody's yes before the outside is told. */
interface WaitsForWord extends Deed
{
    /**
     * The last word that a line waited for was given. In its transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     */
    public function goOn(DocketLine $line, HeldCase $file, array $terms, PendingWrites $openings): void;
}
