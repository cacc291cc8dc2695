<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Time\Instant;

/** One kind of thing that falls due. The next kind is one class, and one line in ReadRounds. */
interface RoundsKind
{
    /** The most items that a kind lists one by one: more than anybody reads in a morning. */
    public const MOST = 25;

    /**
     * Computed afresh, from an index, whatever the size of the Roll.
     *
     * @param  Instant  $today  a day
     * @param  Instant  $until  things due on that day or later are left out
     * @param  int  $most  the most items, those due first
     * @return list<RoundsItem>
     */
    public function due(Instant $today, Instant $until, int $most): array;
}
