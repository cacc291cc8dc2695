<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\Data\A;
use Acre\Wire\Dns\Data\Aaaa;
use Acre\Wire\Dns\Data\Ds;
use Acre\Wire\Dns\Data\Host;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use Standin\Registry\Registered;
use Standin\Registry\Registry;
use Standin\Store;

/** What the server at one address answers to one question (RFC 1034 §4.3.2, RFC 2308). */
final readonly class Answers
{
    private const TTL = 86_400;

    public function __construct(private Store $store, private ZoneKeys $keys)
    {
    }

    /** @param  string  $address  of the world */
    public function to(Question $question, string $address, Mood $mood): Reply
    {
        $answer = new Reply();
        [$name, $type] = [$question->name->host(), $question->type];
        if ($mood === Mood::Refuses || $mood === Mood::Fails) {
            $answer->code = $mood === Mood::Refuses ? ResponseCode::REFUSED : ResponseCode::SERVER_FAILURE;
        } elseif ($mood !== Mood::Lame) {
            match (true) {
                $address === Addresses::ROOT => $this->root($answer, $name, $type),
                $address === Addresses::EXAMPLE => $this->example($answer, $name, $type),
                ($registry = $this->registryAt($address)) !== null => $this->registry($answer, $registry, $name, $type),
                default => $this->host(
                    $answer,
                    $this->store->hosts->byAddress()[$address] ?? '',
                    $name,
                    $type,
                    $mood === Mood::OutOfStep,
                ),
            };
        }

        return $answer;
    }

    private function registryAt(string $address): ?Registry
    {
        foreach (Registry::all() as $registry) {
            if (in_array($address, $registry->servers, true)) {
                return $registry;
            }
        }

        return null;
    }

    private function root(Reply $answer, string $name, int $type): void
    {
        $zone = Zone::bare('', ['a.root.example'], $this->keys->above(''));
        $tld = substr((string) strrchr(".{$name}", '.'), 1);
        [$hosts, $ttl, $glue] = $this->below($tld);
        if ($name === '') {
            $this->apex($answer, $zone, $type);
        } elseif ($hosts === []) {
            $this->nothing($answer, $zone, $name, true);
        } elseif ($name === $tld && $type === RecordType::DS->value) {
            $this->only($answer, $zone, [$this->ds($tld)]);
        } else {
            $this->refer($answer, $zone, $tld, $hosts, $ttl, $glue, [$this->ds($tld)]);
        }
    }

    /** @return array{list<string>, int, array<string, list<string>>} hosts of a zone below the root, for how long, and their addresses */
    private function below(string $tld): array
    {
        if ($tld === 'example') {
            return [['ns.example'], self::TTL, ['ns.example' => [Addresses::EXAMPLE]]];
        }
        foreach (Registry::all() as $registry) {
            if (in_array($tld, $registry->suffixes, true)) {
                $hosts = $this->hostsOf($registry);

                return [
                    $hosts,
                    172_800,
                    array_combine($hosts, array_map(fn (string $address): array => [$address], $registry->servers)),
                ];
            }
        }

        return [[], 0, []];
    }

    /** Every host under `example` stands in one zone. */
    private function example(Reply $answer, string $name, int $type): void
    {
        $zone = Zone::bare('example', ['ns.example'], $this->keys->above('example'));
        if ($name === 'example') {
            $this->apex($answer, $zone, $type);

            return;
        }
        $addresses =
            $name === 'a.root.example'
                ? [Addresses::ROOT]
                : ($name === 'ns.example'
                    ? [Addresses::EXAMPLE]
                    : $this->store->hosts->addresses($name));
        foreach (Registry::all() as $registry) {
            $place = array_search($name, $this->hostsOf($registry), true);
            if ($place !== false) {
                $addresses[] = $registry->servers[$place];
            }
        }
        if ($addresses === []) {
            // Whether anything lies below it must be told right: what is not is proved.
            $zone = Zone::bare('example', ['ns.example'], $zone->signed, $this->store->hosts->all());
            $this->nothing($answer, $zone, $name, ! $zone->exists($name));

            return;
        }
        $this->addresses($answer, $zone, $name, $type, $addresses);
    }

    private function registry(Reply $answer, Registry $registry, string $name, int $type): void
    {
        if (in_array($name, $registry->suffixes, true)) {
            // What a zone's keys are its parent says, which here may be the same server's.
            $parent = str_contains($name, '.') ? substr((string) strstr($name, '.'), 1) : null;
            $type === RecordType::DS->value && $parent !== null
                ? $this->only($answer, $this->suffix($registry, $parent), [$this->ds($name)])
                : $this->apex($answer, $this->suffix($registry, $name), $type);

            return;
        }
        $registered = $this->registered($registry, $name);
        if ($registered === null) {
            $answer->code = ResponseCode::REFUSED;

            return;
        }
        [$suffix, $owner] = $registered;
        $found = $this->store->name($owner);
        $zone = $this->suffix($registry, $suffix);
        if ($found === null || ! $found->isDelegated()) {
            $this->nothing($answer, $zone, $owner, true);
        } elseif ($type === RecordType::DS->value && $name === $owner) {
            $this->only($answer, $zone, self::delegates($found));
            if ($answer->answers === []) {
                $this->nothing($answer, $zone, $name, false, [RecordType::NS->value]);
            }
        } else {
            $glue = [];
            foreach ($found->servers as $host) {
                // Only what lies inside the name needs it (RFC 9471).
                if ($host === $owner || str_ends_with($host, ".{$owner}")) {
                    $glue[$host] = $this->store->hosts->addresses($host);
                }
            }
            $this->refer($answer, $zone, $owner, $found->servers, $registry->ttl, $glue, self::delegates($found));
        }
    }

    private function suffix(Registry $registry, string $suffix): Zone
    {
        return Zone::bare($suffix, $this->hostsOf($registry), $this->keys->above($suffix));
    }

    /** @return list<Record> */
    private static function delegates(Registered $found): array
    {
        return array_map(
            fn (array $ds): Record => new Record(
                Name::ofHost($found->name),
                RecordType::DS->value,
                self::TTL,
                new Ds($ds[0], $ds[1], $ds[2], (string) hex2bin($ds[3])),
            ),
            $found->ds,
        );
    }

    /** Of a zone above all names. */
    private function ds(string $zone): Record
    {
        return new Record(Name::ofHost($zone), RecordType::DS->value, self::TTL, $this->keys->above($zone)->key->delegate($zone));
    }

    /** @return array{string, string}|null suffix and registered name */
    private function registered(Registry $registry, string $name): ?array
    {
        $suffixes = $registry->suffixes;
        usort($suffixes, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        foreach ($suffixes as $suffix) {
            if (str_ends_with($name, ".{$suffix}")) {
                $labels = explode('.', substr($name, 0, -strlen($suffix) - 1));

                return [$suffix, end($labels).".{$suffix}"];
            }
        }

        return null;
    }

    private function host(Reply $answer, string $host, string $name, int $type, bool $older): void
    {
        $zone = $this->zoneAt($host, $name, $older);
        if ($zone === null || ! in_array($host, $zone->servedBy, true)) {
            $answer->code = ResponseCode::REFUSED;

            return;
        }
        $answer->isAuthoritative = true;
        if ($type === RecordType::AXFR) {
            $zone->isGivenAway && $name === $zone->origin
                ? ($answer->answers = $zone->whole())
                : ($answer->code = ResponseCode::REFUSED);

            return;
        }
        $answer->by = $zone->signed;
        if ($name === $zone->origin && in_array($type, Zone::APEX, true)) {
            $this->apex($answer, $zone, $type);

            return;
        }
        $addresses = $this->store->hosts->addresses($name);
        $addresses === []
            ? $this->follow($answer, $zone, $name, $type)
            : $this->addresses($answer, $zone, $name, $type, $addresses);
    }

    /** As this host has it, whether it should or not. */
    public function zoneAt(string $host, string $name, bool $older = false): ?Zone
    {
        foreach (Registry::all() as $registry) {
            $registered = $this->registered($registry, $name);
            $found = $registered === null ? null : $this->store->name($registered[1]);
            if ($found !== null) {
                $zone = Zone::of($found->name, $found->servers, $this->store->hosts->records($found->name), $host, $this->keys);

                return $older ? $zone->older() : $zone;
            }
        }

        return null;
    }

    /** An alias is followed as far as the zone goes. */
    private function follow(Reply $answer, Zone $zone, string $name, int $type): void
    {
        for ($steps = 0; $steps < 8; $steps++) {
            $records = $zone->at($name);
            if ($records !== [] && ! $zone->exists($name)) {
                $answer->wild[$name] = $zone->wildcardFor($name);
            }
            $answer->answers = [
                ...$answer->answers,
                ...array_values(
                    array_filter(
                        $records,
                        fn (Record $record): bool => $record->type === $type ||
                            $type === RecordType::ANY ||
                            $record->type === RecordType::CNAME->value,
                    ),
                ),
            ];
            $isAlias = fn (Record $record): bool => $record->type === RecordType::CNAME->value;
            $alias = array_values(array_filter($records, $isAlias))[0] ?? null;
            if ($alias === null || $type === RecordType::CNAME->value) {
                break;
            }
            $name = $alias->data instanceof Host ? $alias->data->host->host() : '';
            if ($name !== $zone->origin && ! str_ends_with($name, ".{$zone->origin}")) {
                return;
            }
        }
        if ($answer->answers === []) {
            $found = $zone->at($name);
            $this->nothing($answer, $zone, $name, $found === [] && ! $zone->exists($name), $zone->typesAt($name));
        }
    }

    private function apex(Reply $answer, Zone $zone, int $type): void
    {
        $this->only($answer, $zone, match ($type) {
            RecordType::SOA->value => [$zone->soa()],
            RecordType::NS->value => $zone->ns(),
            RecordType::DNSKEY->value => $zone->keys(),
            default => [],
        });
        if ($answer->answers === []) {
            $this->nothing($answer, $zone, $zone->origin, false, $zone->typesAt($zone->origin));
        }
    }

    /** @param  list<Record>  $records */
    private function only(Reply $answer, Zone $zone, array $records): void
    {
        $answer->isAuthoritative = true;
        $answer->by = $zone->signed;
        $answer->answers = $records;
    }

    /** @param  list<string>  $addresses */
    private function addresses(Reply $answer, Zone $zone, string $name, int $type, array $addresses): void
    {
        $records = $this->addressRecords($name, $addresses);
        $this->only($answer, $zone, array_values(array_filter($records, fn (Record $record): bool => $record->type === $type)));
        if ($answer->answers === []) {
            $types = array_map(fn (Record $record): int => $record->type, $records);
            $this->nothing($answer, $zone, $name, $addresses === [], $types);
        }
    }

    /**
     * No such name, or nothing of that type; the SOA says for how long (RFC 2308 §2).
     *
     * @param  list<int>  $types  that it has
     */
    private function nothing(Reply $answer, Zone $zone, string $name, bool $noSuchName, array $types = []): void
    {
        $answer->isAuthoritative = true;
        $answer->by = $zone->signed;
        $answer->code = $noSuchName ? ResponseCode::NO_SUCH_NAME : ResponseCode::OK;
        $answer->authority = [$zone->soa()];
        $answer->has = $types;
        if ($noSuchName) {
            [$answer->nearest, $answer->closest] = $zone->nearest($name);
        }
    }

    /**
     * @param  list<string>  $hosts
     * @param  array<string, list<string>>  $glue
     * @param  list<Record>  $delegates
     */
    private function refer(Reply $answer, Zone $by, string $cut, array $hosts, int $ttl, array $glue, array $delegates): void
    {
        $answer->by = $by->signed;
        $answer->cut = $cut;
        $answer->delegates = $delegates;
        $answer->authority = array_map(fn (string $host): Record => self::server(Name::ofHost($cut), $host, $ttl), $hosts);
        foreach ($glue as $host => $addresses) {
            $answer->additional = [...$answer->additional, ...$this->addressRecords($host, $addresses)];
        }
    }

    /**
     * @param  list<string>  $addresses
     * @return list<Record>
     */
    private function addressRecords(string $host, array $addresses): array
    {
        return array_map(
            fn (string $address): Record => str_contains($address, ':')
                ? new Record(Name::ofHost($host), RecordType::AAAA->value, self::TTL, Aaaa::of($address))
                : new Record(Name::ofHost($host), RecordType::A->value, self::TTL, A::of($address)),
            $addresses,
        );
    }

    private static function server(Name $zone, string $host, int $ttl): Record
    {
        return new Record($zone, RecordType::NS->value, $ttl, new Host(Name::ofHost($host)));
    }

    /** @return list<string> */
    private function hostsOf(Registry $registry): array
    {
        return array_map(fn (int $place): string => chr(97 + $place).".{$registry->id}-registry.example", array_keys($registry->servers));
    }
}
