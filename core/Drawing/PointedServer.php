<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

use Acre\Core\Delegation\ServerSeen;

/** A name server in the drawing of where a name points: a box, the line that leads to it, and what it says itself. */
final readonly class PointedServer
{
    /**
     * @param  bool  $isListed  whether the registry names it
     * @param  bool  $isBehind  whether another one has a newer zone
     * @param  bool  $agrees  whether it names those that the registry does
     * @param  int  $y  pixels: its upper edge
     */
    public function __construct(
        public ServerSeen $server,
        public PointState $state,
        public bool $isListed,
        public bool $isBehind,
        public bool $agrees,
        public int $y,
    ) {
    }
}
