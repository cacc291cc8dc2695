<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Finding\Actor;
use Acre\Core\Time\Instant;

/** A step with who must take it and by when. What happens if nobody does stands in the words of its kind. */
final readonly class Leg
{
    /**
     * @param  Instant  $by  when it is over at the latest
     * @param  Instant|null  $likely  when it usually is; null: nobody knows better
     */
    public function __construct(public LegKind $kind, public Actor $actor, public Instant $by, public ?Instant $likely = null)
    {
    }
}
