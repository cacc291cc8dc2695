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
     */
    public function __construct(public Source $source, public ?Record $record, public Instant $at)
    {
    }
}
