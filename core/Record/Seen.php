<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Time\Instant;

/** The last word of one source. */
final readonly class Seen
{
    /**
     * @param  Record|null  $record  null: the source has no such name
     * @param  Instant  $at  when it last said so
     * @param  Record|null  $before  what it said before that; null: nothing else, or it wasn't looked up
     * @param  bool  $isPlain  whether it said so in the words of its protocol: a page that a proxy sends in its stead doesn't
     */
    public function __construct(
        public Source $source,
        public ?Record $record,
        public Instant $at,
        public bool $isPlain = true,
        public ?Record $before = null,
    ) {
    }
}
