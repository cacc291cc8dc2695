<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Time\Instant;

/** What its registry surely says of a name's life, and nobody has recorded yet: it counts at once, and is marked as seen. */
final readonly class SeenOutside
{
    /**
     * @param  Instant  $at  when it was last said
     * @param  list<Status>  $has  which it has and our books don't
     * @param  list<Status>  $lacks  which our books have and it doesn't
     * @param  Instant|null  $deletedSince  since when it has been gone, or has stood in redemption or pending delete where `$has` proves
     *     that
     * @param  bool  $isGone  whether there is no such name any more
     */
    public function __construct(
        public Instant $at,
        public array $has = [],
        public array $lacks = [],
        public ?Instant $deletedSince = null,
        public bool $isGone = false,
    ) {
    }
}
