<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Time\Span;

/** One phase with its span, as the rules place it. */
final readonly class Stage
{
    public function __construct(public Phase $phase, public Span $span, public Rescue $rescue)
    {
    }
}
