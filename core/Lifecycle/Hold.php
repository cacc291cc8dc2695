<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Time\Instant;

/** A time in which a name may not go to another registrar: from, to, why. */
final readonly class Hold
{
    public function __construct(public HoldReason $reason, public Instant $from, public Instant $until)
    {
    }

    public function coversAt(Instant $now): bool
    {
        return $this->from->hasComeAt($now) && ! $this->until->hasComeAt($now);
    }
}
