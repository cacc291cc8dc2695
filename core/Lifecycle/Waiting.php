<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Time\Instant;

/** A movement that is under way, as far as a standing tells of it. */
final readonly class Waiting
{
    public function __construct(public int $docket, public Instant $by)
    {
    }
}
