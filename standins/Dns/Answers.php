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
use Standin\Registry\Registry;
use Standin\Store;

/** What the server at one address answers to one question (RFC 1034 §4.3.2, RFC 2308). */
final readonly class Answers
{
    private const TTL = 86_400;

    public function __construct(private Store $store)
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
        $tld = substr((string) strrchr(".{$name}", '.'), 1);
        if ($tld === 'example') {
            $this->refer($answer, 'example', ['ns.example'], self::TTL, ['ns.example' => [Addresses::EXAMPLE]]);

            return;
        }
        foreach (Registry::all() as $registry) {
            if (in_array($tld, $registry->suffixes, true)) {
                $this->refer(
                    $answer,
                    $tld,
                    $this->hostsOf($registry),
                    172_800,
                    array_combine($this->hostsOf($registry), array_map(fn (string $address): array => [$address], $registry->servers)),
                );

                return;
            }
        }
        $this->nothing($answer, Zone::bare('', ['a.root.example']), $name !== '');
        if ($name === '' && $type === RecordType::NS->value) {
            $answer->answers = [self::server(Name::root(), 'a.root.example', self::TTL)];
            $answer->authority = [];
        }
    }

    /** Every host under `example` stands in one zone. */
    private function example(Reply $answer, string $name, int $type): void
    {
        $addresses =
            $name === 'a.root.example'
                ? [Addresses::ROOT]
                : ($name === 'ns.example'
                    ? [Addresses::EXAMPLE]
                    : $this->store->hosts->addresses($name));
        foreach (Registry::all() as $registry) {
            $addresses = [
                ...$addresses,
                ...array_values(
                    array_filter(
                        $registry->servers,
                        fn (string $address, int $place): bool => $this->hostsOf($registry)[$place] === $name,
                        ARRAY_FILTER_USE_BOTH,
                    ),
                ),
            ];
        }
        $answer->isAuthoritative = true;
        $answer->answers = array_values(
            array_filter($this->addressRecords($name, $addresses), fn (Record $record): bool => $record->type === $type),
        );
        if ($answer->answers !== []) {
            return;
        }
        $this->nothing($answer, Zone::bare('example', ['ns.example']), $addresses === []);
    }

    private function registry(Reply $answer, Registry $registry, string $name, int $type): void
    {
        foreach ($registry->suffixes as $suffix) {
            if ($name === $suffix) {
                $answer->isAuthoritative = true;
                $zone = Zone::bare($suffix, $this->hostsOf($registry));
                $type === RecordType::SOA->value
                    ? ($answer->answers = [$zone->soa()])
                    : ($type === RecordType::NS->value
                        ? ($answer->answers = $zone->ns())
                        : $this->nothing($answer, $zone, false));

                return;
            }
        }
        $registered = $this->registered($registry, $name);
        if ($registered === null) {
            $answer->code = ResponseCode::REFUSED;

            return;
        }
        [$suffix, $owner] = $registered;
        $found = $this->store->name($owner);
        $zone = Zone::bare($suffix, $this->hostsOf($registry));
        if ($found === null || ! $found->isDelegated()) {
            $this->nothing($answer, $zone, true);
        } elseif ($type === RecordType::DS->value && $name === $owner) {
            $answer->answers = array_map(
                fn (array $ds): Record => new Record(
                    Name::ofHost($owner),
                    RecordType::DS->value,
                    self::TTL,
                    new Ds($ds[0], $ds[1], $ds[2], (string) hex2bin($ds[3])),
                ),
                $found->ds,
            );
            $answer->answers === [] ? $this->nothing($answer, $zone, false) : ($answer->isAuthoritative = true);
        } else {
            $glue = [];
            foreach ($found->servers as $host) {
                // Only what lies inside the name needs it (RFC 9471).
                if ($host === $owner || str_ends_with($host, ".{$owner}")) {
                    $glue[$host] = $this->store->hosts->addresses($host);
                }
            }
            $this->refer($answer, $owner, $found->servers, $registry->ttl, $glue);
        }
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
        foreach (Registry::all() as $registry) {
            $registered = $this->registered($registry, $name);
            if ($registered !== null) {
                break;
            }
        }
        $found = isset($registered) ? $this->store->name($registered[1]) : null;
        $zone = $found === null ? null : Zone::of($found->name, $found->servers, $this->store->hosts->records($found->name), $host);
        if ($zone === null || ! in_array($host, $zone->servedBy, true)) {
            $answer->code = ResponseCode::REFUSED;

            return;
        }
        $answer->isAuthoritative = true;
        if ($name === $zone->origin && ($type === RecordType::SOA->value || $type === RecordType::NS->value)) {
            $answer->answers = $type === RecordType::SOA->value ? [$zone->soa($older)] : $zone->ns();

            return;
        }
        $addresses = $this->store->hosts->addresses($name);
        if ($addresses !== []) {
            $answer->answers = array_values(
                array_filter($this->addressRecords($name, $addresses), fn (Record $record): bool => $record->type === $type),
            );
            if ($answer->answers === []) {
                $this->nothing($answer, $zone, false);
            }

            return;
        }
        $this->follow($answer, $zone, $name, $type);
    }

    /** An alias is followed as far as the zone goes. */
    private function follow(Reply $answer, Zone $zone, string $name, int $type): void
    {
        for ($steps = 0; $steps < 8; $steps++) {
            $records = $zone->at($name);
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
            $this->nothing($answer, $zone, $zone->at($name) === [] && ! $zone->exists($name));
        }
    }

    /** No such name, or nothing of that type; the SOA says for how long (RFC 2308 §2). */
    private function nothing(Reply $answer, Zone $zone, bool $noSuchName): void
    {
        $answer->isAuthoritative = true;
        $answer->code = $noSuchName ? ResponseCode::NO_SUCH_NAME : ResponseCode::OK;
        $answer->authority = [$zone->soa()];
    }

    /**
     * @param  list<string>  $hosts
     * @param  array<string, list<string>>  $glue
     */
    private function refer(Reply $answer, string $zone, array $hosts, int $ttl, array $glue): void
    {
        $answer->authority = array_map(
            fn (string $host): Record => self::server(Name::ofHost($zone), $host, $ttl),
            $hosts,
        );
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
