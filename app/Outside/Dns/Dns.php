<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Name\DomainName;

/** The name servers of suffixes and names. */
interface Dns
{
    /**
     * Asks for many names at once, and tells each as soon as it is known; however many, no more memory is taken.
     *
     * @param  iterable<DomainName>  $names
     * @param  callable(DelegationSeen): void  $told
     */
    public function delegations(iterable $names, callable $told): void;
}
