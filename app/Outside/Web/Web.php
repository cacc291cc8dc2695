<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\SiteSeen;

/** The web servers of hosts. */
interface Web
{
    /**
     * Asks for many hosts at once, and tells each as soon as it is known. Only listed addresses are asked.
     *
     * @param  list<SiteAsked>  $asked  some dozens
     * @param  callable(SiteAsked, SiteSeen): void  $told
     */
    public function look(array $asked, callable $told): void;
}
