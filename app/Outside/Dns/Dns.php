<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Name\DomainName;

/** The name servers of suffixes and names. */
interface Dns
{
    /**
     * Asks for many names at once, and tells each as soon as it is known; memory use doesn't grow with their number.
     *
     * @param  iterable<DomainName>  $names
     * @param  callable(DelegationSeen): void  $told
     */
    public function delegations(iterable $names, callable $told): void;

    /**
     * What a name's present servers and those that it is to get say of it. Asks for many at once, as `delegations` does.
     *
     * @param  iterable<ChangeWanted>  $wanted
     * @param  callable(ChangeWanted, ChangeSeen): void  $told
     */
    public function changes(iterable $wanted, callable $told): void;

    /**
     * What a name's present servers have of its zone; null where none answers.
     *
     * @param  iterable<ZoneWanted>  $wanted
     * @param  callable(ZoneWanted, ZoneAsked|null): void  $told
     */
    public function zones(iterable $wanted, callable $told): void;

    /**
     * Addresses of hosts, and whether a host is an alias.
     *
     * @param  iterable<string>  $hosts  A-labels
     * @param  callable(string, list<string>, bool): void  $told
     */
    public function addresses(iterable $hosts, callable $told): void;

    /**
     * Whether each server of a name says what it should.
     *
     * @param  iterable<RecordsAsked>  $asked
     * @param  callable(RecordsAsked, array<string, bool>): void  $told  by host
     */
    public function records(iterable $asked, callable $told): void;

    /**
     * Texts (TXT) of hosts, each record joined to one; null where nobody answers.
     *
     * @param  iterable<string>  $hosts  A-labels
     * @param  callable(string, list<string>|null): void  $told
     */
    public function texts(iterable $hosts, callable $told): void;

    /**
     * Whether hosts of mailboxes take mail at all: by an MX, or else by an address (RFC 5321 §5.1); a null MX says no (RFC 7505).
     *
     * @param  iterable<DomainName>  $hosts
     * @param  callable(DomainName, TakesMail): void  $told
     */
    public function mail(iterable $hosts, callable $told): void;
}
