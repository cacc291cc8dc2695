<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\Data\Host;
use Acre\Wire\Dns\Data\Soa;
use Acre\Wire\Dns\Data\Txt;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\Values;
use Acre\Wire\Json\JsonNode;

/** What hosts answer for one name. */
final readonly class Zone
{
    /** Types that only the zone itself has, and that it is asked for by its own name. */
    public const APEX = [RecordType::SOA->value, RecordType::NS->value, RecordType::DNSKEY->value];

    private const TTL = 3600;

    private const SERIAL = 2_026_100_601;

    /**
     * @param  string  $origin  A-labels
     * @param  list<string>  $servers  that the zone itself names
     * @param  list<string>  $servedBy  hosts that have it
     * @param  array<string, list<array{string, int, string}>>  $records  beside SOA and NS, by name: type, TTL and data
     * @param  SignedZone|null  $signed  null: it is not
     */
    private function __construct(
        public string $origin,
        public int $serial,
        public array $servers,
        public array $servedBy,
        private array $records,
        public ?SignedZone $signed = null,
        public bool $isGivenAway = false,
    ) {
    }

    /**
     * @param  list<string>  $delegated  the servers that the registry has
     * @param  string  $host  that is asked
     * @param  string|null  $told  JSON of what is otherwise than usual; `elsewhere` are the same of hosts that have another zone of it
     */
    public static function of(string $origin, array $delegated, ?string $told, string $host, ?ZoneKeys $keys = null): self
    {
        if ($told === null) {
            return new self($origin, self::SERIAL, $delegated, $delegated, self::usual($origin));
        }
        $node = JsonNode::read($told, 1_000_000);
        foreach ($node->has('elsewhere') ? $node->nodes('elsewhere') : [] as $other) {
            if (in_array($host, $other->texts('servedBy'), true)) {
                return self::told($origin, $other->texts('servedBy'), $other, $keys);
            }
        }

        return self::told($origin, $delegated, $node, $keys);
    }

    /** @param  list<string>  $delegated */
    private static function told(string $origin, array $delegated, JsonNode $node, ?ZoneKeys $keys): self
    {
        $records = $node->has('records') ? [] : self::usual($origin);
        foreach ($node->has('records') ? $node->nodes('records') : [] as $record) {
            $records[$record->text('name')][] = [
                strtoupper($record->text('type')),
                $record->intOrNull('ttl') ?? self::TTL,
                $record->text('data'),
            ];
        }

        return new self(
            $origin,
            $node->intOrNull('serial') ?? self::SERIAL,
            $node->has('servers') ? $node->texts('servers') : $delegated,
            $node->has('servedBy') ? $node->texts('servedBy') : $delegated,
            $records,
            $keys?->told($origin, $node->has('signed') ? $node->nodeOrNull('signed') : null),
            $node->has('given') && $node->boolOrNull('given') === true,
        );
    }

    /**
     * A zone that has SOA and NS of its own, and nothing else that is asked for here.
     *
     * @param  list<string>  $servers
     * @param  list<string>  $hosts  that there are in it
     */
    public static function bare(string $origin, array $servers, ?SignedZone $signed = null, array $hosts = []): self
    {
        return new self($origin, self::SERIAL, $servers, $servers, array_fill_keys($hosts, []), $signed);
    }

    /** @return array<string, list<array{string, int, string}>> */
    private static function usual(string $origin): array
    {
        return [
            $origin => [
                ['A', self::TTL, '192.0.2.80'],
                ['MX', self::TTL, '10 mail.sound-hosting.example'],
                ['TXT', self::TTL, 'v=spf1 mx -all'],
            ],
            "www.{$origin}" => [['CNAME', self::TTL, $origin]],
        ];
    }

    /**
     * With other records, and a serial of its own.
     *
     * @param  string|null  $told  JSON of what is otherwise than usual
     * @param  list<string>  $lines  `www 300 A 192.0.2.1`; `- www A` goes
     * @return string such JSON
     */
    public static function changed(string $origin, ?string $told, array $lines): string
    {
        $document = json_decode($told ?? '{}', true, 16, JSON_THROW_ON_ERROR);
        $document = is_array($document) ? $document : [];
        $wanted = array_map(fn (string $line): array => self::line($origin, $line), $lines);
        $gone = array_map(fn (array $one): string => "{$one['name']} {$one['type']}", $wanted);
        $before = [];
        foreach (self::told($origin, [], JsonNode::read($told ?? '{}', 1_000_000), null)->records as $name => $some) {
            foreach ($some as [$type, $ttl, $data]) {
                $before[] = ['name' => (string) $name, 'type' => $type, 'ttl' => $ttl, 'data' => $data];
            }
        }
        $document['records'] = [
            ...array_filter($before, fn (array $one): bool => ! in_array("{$one['name']} {$one['type']}", $gone, true)),
            ...array_filter($wanted, fn (array $one): bool => $one['data'] !== ''),
        ];
        $document['serial'] = (is_int($document['serial'] ?? null) ? $document['serial'] : self::SERIAL) + 1;

        return json_encode($document, JSON_THROW_ON_ERROR);
    }

    /** @return array{name: string, type: string, ttl: int, data: string} data empty: it goes */
    private static function line(string $origin, string $line): array
    {
        $words = explode(' ', $line);
        $isGone = $words[0] === '-';
        $host = array_splice($words, $isGone ? 1 : 0, 1)[0] ?? '@';
        $words = $isGone ? array_slice($words, 1) : $words;
        $ttl = ctype_digit($words[0] ?? '') ? (int) array_shift($words) : self::TTL;
        $type = strtoupper((string) array_shift($words));

        return [
            'name' => $host === '@' ? $origin : "{$host}.{$origin}",
            'type' => $type,
            'ttl' => $ttl,
            'data' => $isGone ? '' : ($type === 'TXT' ? (string) preg_replace('/" "|"/', '', implode(' ', $words)) : implode(' ', $words)),
        ];
    }

    /** As it was some time ago. */
    public function older(): self
    {
        return new self(
            $this->origin,
            $this->serial - 100,
            $this->servers,
            $this->servedBy,
            $this->records,
            $this->signed,
            $this->isGivenAway,
        );
    }

    public function soa(): Record
    {
        return new Record(Name::ofHost($this->origin), RecordType::SOA->value, self::TTL, new Soa(
            Name::ofHost($this->servers[0] ?? $this->origin),
            Name::of('hostmaster', Name::ofHost($this->origin)),
            $this->serial,
            7200,
            3600,
            1_209_600,
            300,
        ));
    }

    /** @return list<Record> */
    public function ns(): array
    {
        return array_map(
            fn (string $host): Record => new Record(
                Name::ofHost($this->origin),
                RecordType::NS->value,
                self::TTL,
                new Host(Name::ofHost($host)),
            ),
            $this->servers,
        );
    }

    /** @return list<Record> its own key, and what else it was told to show as one */
    public function keys(): array
    {
        $told = array_filter($this->at($this->origin), fn (Record $record): bool => $record->type === RecordType::DNSKEY->value);
        $own = $this->signed === null
            ? []
            : [new Record(Name::ofHost($this->origin), RecordType::DNSKEY->value, self::TTL, $this->signed->key->record())];

        return [...$own, ...array_values($told)];
    }

    /** @return list<Record> all of it, as it is given away: from the SOA to the same again (RFC 5936 §2.2) */
    public function whole(): array
    {
        $records = [];
        foreach ($this->records as $name => $some) {
            foreach ($some as $record) {
                $records[] = self::record((string) $name, ...$record);
            }
        }

        return [$this->soa(), ...$this->ns(), ...$this->signed === null ? [] : $this->keys(), ...$records, $this->soa()];
    }

    /** @return list<int> */
    public function typesAt(string $name): array
    {
        $types = array_map(fn (Record $record): int => $record->type, $this->at($name));
        if ($name === $this->origin) {
            array_push($types, RecordType::SOA->value, RecordType::NS->value, ...$this->keys() === [] ? [] : [RecordType::DNSKEY->value]);
        }

        return $types;
    }

    /** @return array{string, string} of a name that is not: the highest above it that is not either, and the one above that */
    public function nearest(string $name): array
    {
        $parent = fn (string $host): string => str_contains($host, '.') ? substr((string) strstr($host, '.'), 1) : '';
        $closest = $parent($name);
        while ($closest !== $this->origin && ! $this->exists($closest)) {
            [$name, $closest] = [$closest, $parent($closest)];
        }

        return [$name, $closest];
    }

    public function wildcardFor(string $name): string
    {
        return '*.'.$this->nearest($name)[1];
    }

    /** @return list<Record> at this name, or at the wildcard that covers it (RFC 4592), under the name asked for */
    public function at(string $name): array
    {
        $found = $this->records[$name] ?? [];
        for ($closest = $name; $found === [] && ! $this->exists($closest) && str_contains($closest, '.');) {
            $closest = substr((string) strstr($closest, '.'), 1);
            $found = $this->records["*.{$closest}"] ?? [];
        }

        return array_map(fn (array $record): Record => self::record($name, ...$record), $found);
    }

    /** Whether there is such a name or anything below it. */
    public function exists(string $name): bool
    {
        if ($name === $this->origin) {
            return true;
        }
        foreach (array_keys($this->records) as $known) {
            if ((string) $known === $name || str_ends_with((string) $known, ".{$name}")) {
                return true;
            }
        }

        return false;
    }

    private static function record(string $name, string $type, int $ttl, string $data): Record
    {
        // A text may be given without quotes; of the rest each is written as zone files write it.
        $known = $type === 'TXT' ? null : RecordType::number($type);
        [$number, $value] =
            $known === null
                ? [RecordType::TXT->value, Txt::of($data)]
                : [$known, RecordType::dataOf($known)::parse(self::values($data))];

        return new Record(Name::ofHost($name), $number, $ttl, $value);
    }

    private static function values(string $data): Values
    {
        return new Values(explode(' ', (string) preg_replace('/\s+/', ' ', $data)), Name::root());
    }
}
