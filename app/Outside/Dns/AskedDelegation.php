<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Glue;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameFinding;
use Acre\Wire\Dns\Data\Soa;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use App\Outside\Reach\Hosts;

/** What parent and child say themselves of a name's delegation. Used inside `Exchange::each`. */
final class AskedDelegation
{
    /** Hosts that only the zone names, of which so many are asked. */
    private const MOST_UNLISTED = 13;

    /** @var array<string, bool> by address: whether it answers over TCP too, which is asked once */
    private array $overTcp = [];

    public function __construct(
        private readonly Exchange $exchange,
        private readonly Lookup $lookup,
        private readonly AskedChain $chain,
        private readonly Hosts $reach,
    ) {
    }

    /** @param  string  $name  A-labels */
    public function of(string $name): DelegationSeen
    {
        [$answer, $from] = $this->lookup->walk($name, RecordType::NS);
        if ($answer === null) {
            return new DelegationSeen($name, null, null, null, [], "no server of {$from} answered");
        }
        $records = array_values(
            array_filter(
                [...$answer->authority, ...$answer->answers],
                fn (Record $record): bool => $record->type === RecordType::NS->value && $record->name->host() === $name,
            ),
        );
        if ($records === []) {
            return new DelegationSeen($name, [], null, [], []);
        }
        $hosts = array_values(array_unique(array_map(Lookup::target(...), $records)));
        $places = [];
        foreach ($hosts as $host) {
            array_push($places, ...$this->places($host, Lookup::glue($answer, $host)));
        }

        $servers = $this->servers($name, $places);
        [$delegates, $ttl] = $this->delegates($name, $this->lookup->serversAbove($from));
        [$chain, $keys] = $this->chain->of($name, $delegates, $ttl, $servers);
        $unlisted = [];
        foreach (array_slice(array_unique(array_merge(...array_column($servers, 'servers'))), 0, self::MOST_UNLISTED) as $host) {
            array_push($unlisted, ...in_array($host, $hosts, true) ? [] : $this->places($host, []));
        }

        return new DelegationSeen(
            $name,
            $hosts,
            $records[0]->ttl,
            $delegates,
            $servers,
            unlisted: $this->servers($name, $unlisted),
            chain: $chain,
            glue: $this->glue($name, $hosts, $answer, $servers),
            keys: $keys,
        );
    }

    /**
     * @param  list<string>  $hosts
     * @param  list<ServerSeen>  $servers
     * @return list<Glue>
     */
    private function glue(string $name, array $hosts, Message $referral, array $servers): array
    {
        $found = [];
        foreach (array_filter($hosts, fn (string $host): bool => $host === $name || str_ends_with($host, ".{$name}")) as $host) {
            $own = null;
            foreach ($servers as $server) {
                $dialled = $server->answer === Answer::Authoritative ? $this->lookup->dialled($server->address ?? '') : null;
                if ($dialled !== null) {
                    $own = $this->lookup->addressesAt($dialled, $host);
                    break;
                }
            }
            $found[] = new Glue($host, Lookup::glue($referral, $host), $own);
        }

        return $found;
    }

    /**
     * Whether servers that answered do so over TCP too (RFC 7766 §5): each address is tried once, not once a name.
     *
     * @param  array<string, string>  $dialled  addresses
     */
    private function tryTcp(string $name, array $dialled): void
    {
        $new = array_diff($dialled, array_map(strval(...), array_keys($this->overTcp)));
        $answers = $this->exchange->ask(
            array_combine($new, array_map(fn (string $at): array => [$at, Lookup::question($name, RecordType::SOA), false, true], $new)),
        );
        foreach ($answers as $address => $answer) {
            $this->overTcp[(string) $address] = $answer !== null;
        }
    }

    /** Whether the name that a host lies under is registered by nobody. Below what is no public suffix nobody registers. */
    private function isFree(string $host): bool
    {
        $domain = DomainName::of($host)->registrable();
        $isPublic = array_filter($domain->findings(), fn (array $one): bool => $one[0] === NameFinding::UnknownSuffix) === [];

        return $isPublic && $this->lookup->walk($domain->ascii, RecordType::NS)[0]?->code === ResponseCode::NO_SUCH_NAME;
    }

    /**
     * @param  list<string>  $known  addresses that were said
     * @return list<array{string, string|null, bool}> host, address and whether it is an alias; one an address
     */
    public function places(string $host, array $known): array
    {
        [$addresses, $isAlias] = $known === [] ? $this->lookup->addresses($host) : [$known, false];

        return array_map(fn (?string $address): array => [$host, $address, $isAlias], $addresses === [] ? [null] : $addresses);
    }

    /**
     * @param  list<array{string, string|null, bool}>  $places
     * @return list<ServerSeen> in that order
     */
    public function servers(string $name, array $places): array
    {
        $questions = [];
        foreach ($places as $place => [, $address]) {
            $dialled = $address === null ? null : $this->lookup->dialled($address);
            if ($dialled !== null) {
                $questions["soa{$place}"] = [$dialled, Lookup::question($name, RecordType::SOA)];
                $questions["ns{$place}"] = [$dialled, Lookup::question($name, RecordType::NS)];
            }
        }
        $answers = $this->exchange->ask($questions);
        $answering = [];
        foreach (array_keys($places) as $place) {
            if (($answers["soa{$place}"] ?? null)?->isAuthoritative === true) {
                $answering[] = $questions["soa{$place}"][0];
            }
        }
        $this->tryTcp($name, array_combine($answering, $answering));
        $servers = [];
        foreach ($places as $place => [$host, $address, $isAlias]) {
            $servers[] = match (true) {
                $address === null => new ServerSeen(
                    $host,
                    null,
                    $this->isFree($host) ? Answer::NobodyHolds : Answer::NoAddress,
                    isAlias: $isAlias,
                ),
                ! isset($questions["soa{$place}"]) => new ServerSeen(
                    $host,
                    $address,
                    $this->reach->nameServer($address) === null ? Answer::NotPublic : Answer::NotAsked,
                    isAlias: $isAlias,
                ),
                ($answers["soa{$place}"] ?? null) === null => new ServerSeen(
                    $host,
                    $address,
                    $this->exchange->isGarbled($questions["soa{$place}"][0]) ? Answer::Garbled : Answer::Silent,
                    isAlias: $isAlias,
                ),
                default => self::server(
                    $host,
                    $address,
                    $isAlias,
                    $answers["soa{$place}"],
                    $answers["ns{$place}"] ?? null,
                    $this->overTcp[$questions["soa{$place}"][0]] ?? null,
                ),
            };
        }

        return $servers;
    }

    /**
     * @param  list<string>  $parents  addresses of the parent's servers
     * @return array{list<Delegate>|null, int|null} DS, and for how many seconds they may be kept
     */
    private function delegates(string $name, array $parents): array
    {
        foreach (array_filter(array_map($this->lookup->dialled(...), $parents), is_string(...)) as $parent) {
            $answer = $this->exchange->ask(['ds' => [$parent, Lookup::question($name, RecordType::DS)]])['ds'];
            if ($answer?->code === ResponseCode::OK) {
                $ttl = $answer->answers === [] ? null : $answer->answers[0]->ttl;

                return [AskedChain::delegates($answer, RecordType::DS), $ttl];
            }
        }

        return [null, null];
    }

    private static function server(
        string $host,
        string $address,
        bool $isAlias,
        Message $soa,
        ?Message $ns,
        ?bool $overTcp,
    ): ServerSeen {
        $serial = null;
        foreach ($soa->answers as $record) {
            if ($record->data instanceof Soa) {
                $serial = $record->data->serial;
            }
        }
        $answer = match (true) {
            $soa->code === ResponseCode::REFUSED => Answer::Refused,
            $soa->code === ResponseCode::NO_SUCH_NAME => Answer::NoSuchName,
            $soa->code !== ResponseCode::OK => Answer::Fails,
            ! $soa->isAuthoritative || $serial === null => Answer::Lame,
            default => Answer::Authoritative,
        };
        $servers = array_map(
            Lookup::target(...),
            array_values(array_filter($ns->answers ?? [], fn (Record $record): bool => $record->type === RecordType::NS->value)),
        );
        sort($servers);

        return new ServerSeen($host, $address, $answer, $serial, $servers, $isAlias, $answer === Answer::Authoritative ? $overTcp : null);
    }
}
