<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\WebAddress;

/** A page that is asked for on a walk. */
final readonly class Question
{
    /** @param  array{string, int}|NotVisited  $dialled  address and port, or why it is not asked */
    public function __construct(
        public SiteWalk $walk,
        public string $trail,
        public WebAddress $page,
        public array|NotVisited $dialled,
    ) {
    }

    /** Whom it is asked, `address:port`; empty: nobody. */
    public function whom(): string
    {
        return is_array($this->dialled) ? implode(':', $this->dialled) : '';
    }
}
