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
    private const TTL = 3600;

    private const SERIAL = 2_026_100_601;

    /**
     * @param  string  $origin  A-labels
     * @param  list<string>  $servers  that the zone itself names
     * @param  list<string>  $servedBy  hosts that have it
     * @param  array<string, list<array{string, int, string}>>  $records  beside SOA and NS, by name: type, TTL and data
     */
    private function __construct(
        public string $origin,
        public int $serial,
        public array $servers,
        public array $servedBy,
        private array $records,
    ) {
    }

    /**
     * @param  list<string>  $delegated  the servers that the registry has
     * @param  string  $host  that is asked
     * @param  string|null  $told  JSON of what is otherwise than usual; `elsewhere` are the same of hosts that have another zone of it
     */
    public static function of(string $origin, array $delegated, ?string $told, string $host): self
    {
        if ($told === null) {
            return new self($origin, self::SERIAL, $delegated, $delegated, self::usual($origin));
        }
        $node = JsonNode::read($told, 1_000_000);
        foreach ($node->has('elsewhere') ? $node->nodes('elsewhere') : [] as $other) {
            if (in_array($host, $other->texts('servedBy'), true)) {
                return self::told($origin, $other->texts('servedBy'), $other);
            }
        }

        return self::told($origin, $delegated, $node);
    }

    /** @param  list<string>  $delegated */
    private static function told(string $origin, array $delegated, JsonNode $node): self
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
        );
    }

    /**
     * A zone that has SOA and NS of its own, and nothing else.
     *
     * @param  list<string>  $servers
     */
    public static function bare(string $origin, array $servers): self
    {
        return new self($origin, self::SERIAL, $servers, $servers, []);
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

    public function soa(bool $older = false): Record
    {
        return new Record(Name::ofHost($this->origin), RecordType::SOA->value, self::TTL, new Soa(
            Name::ofHost($this->servers[0] ?? $this->origin),
            Name::of('hostmaster', Name::ofHost($this->origin)),
            $this->serial - ($older ? 100 : 0),
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
