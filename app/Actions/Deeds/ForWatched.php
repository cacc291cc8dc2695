<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Names\RollCase;

/** A deed that can be done to names which are only watched, too. */
interface ForWatched extends Deed
{
    public function judge(RollCase $file, array $terms, Instant $now): Readiness;

    public function perform(
        DocketLine $line,
        RollCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState;

    public function beforeAndAfter(RollCase $file, array $terms): array;
}
