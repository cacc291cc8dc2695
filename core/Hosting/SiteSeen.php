<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Time\Instant;

/** What was found at a host. */
final readonly class SiteSeen
{
    /** A page that nobody has, asked for to see whether a redirect keeps the path. */
    public const PROBE = '/acre-roll/path?kept=1';

    /**
     * @param  list<string>  $addresses  in their shortest form
     * @param  Trail|null  $plain  of `http://host/`; null: not asked
     * @param  Trail|null  $secure  of `https://host/`
     * @param  Trail|null  $deep  of the probe; only where the host redirects
     * @param  Certificate|null  $certificate  that the host itself showed
     */
    public function __construct(
        public array $addresses,
        public ?Trail $plain,
        public ?Trail $secure,
        public ?Trail $deep,
        public ?Certificate $certificate,
        public Instant $at,
    ) {
    }

    /** Whether the host's web server was asked at all; where its address is not listed it is not. */
    public function isAsked(): bool
    {
        $fault = $this->plain?->visits[0]->fault ?? null;

        return $this->plain !== null && $this->plain->visits !== [] && $fault !== NotVisited::NotListed && $fault !== NotVisited::NoAddress;
    }

    /** What says more: that of the plain address, or of the secure one where nobody answers that; null: nobody answers at either. */
    public function answered(): ?Trail
    {
        foreach ([$this->plain, $this->secure] as $trail) {
            if (($trail->visits[0]->status ?? null) !== null) {
                return $trail;
            }
        }

        return null;
    }
}
