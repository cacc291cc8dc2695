<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Json\JsonNode;
use React\Dns\Model\Message;
use React\Dns\Model\Record;

/** What hosts answer for one name. */
final readonly class Zone
{
    private const TTL = 3600;

    /**
     * @param  string  $origin  A-labels
     * @param  list<string>  $servers  that the zone itself names
     * @param  list<string>  $servedBy  hosts that have it
     * @param  list<Record>  $records  beside SOA and NS
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
     * @param  string|null  $told  JSON of what is otherwise than usual
     */
    public static function of(string $origin, array $delegated, ?string $told): self
    {
        $node = JsonNode::read($told ?? '{}', 1_000_000);
        $records = [];
        foreach ($node->has('records') ? $node->nodes('records') : [] as $record) {
            $records[] = self::record(
                $record->text('name'),
                strtoupper($record->text('type')),
                $record->intOrNull('ttl') ?? self::TTL,
                $record->text('data'),
            );
        }
        if (! $node->has('records')) {
            $records = [
                self::record($origin, 'A', self::TTL, '192.0.2.80'),
                self::record("www.{$origin}", 'CNAME', self::TTL, $origin),
                self::record($origin, 'MX', self::TTL, '10 mail.sound-hosting.example'),
                self::record($origin, 'TXT', self::TTL, 'v=spf1 mx -all'),
            ];
        }

        return new self(
            $origin,
            $node->intOrNull('serial') ?? 2026100601,
            $node->has('servers') ? $node->texts('servers') : $delegated,
            $node->has('servedBy') ? $node->texts('servedBy') : $delegated,
            $records,
        );
    }

    public function soa(bool $older = false): Record
    {
        return new Record($this->origin, Message::TYPE_SOA, Message::CLASS_IN, self::TTL, [
            'mname' => $this->servers[0] ?? $this->origin,
            'rname' => "hostmaster.{$this->origin}",
            'serial' => (string) ($this->serial - ($older ? 100 : 0)),
            'refresh' => '7200',
            'retry' => '3600',
            'expire' => '1209600',
            'minimum' => '300',
        ]);
    }

    /** @return list<Record> */
    public function ns(): array
    {
        return array_map(
            fn (string $host): Record => new Record($this->origin, Message::TYPE_NS, Message::CLASS_IN, self::TTL, $host),
            $this->servers,
        );
    }

    /** @return list<Record> at this name, or at the wildcard that covers it (RFC 4592), under the name asked for */
    public function at(string $name): array
    {
        $found = array_values(array_filter($this->records, fn (Record $record): bool => $record->name === $name));
        if ($found !== [] || $this->exists($name)) {
            return $found;
        }
        for ($closest = $name; $closest !== $this->origin && str_contains($closest, '.');) {
            $closest = substr((string) strstr($closest, '.'), 1);
            $wild = array_values(array_filter($this->records, fn (Record $record): bool => $record->name === "*.{$closest}"));
            if ($wild !== [] || $this->exists($closest)) {
                return array_map(
                    fn (Record $record): Record => new Record($name, $record->type, $record->class, $record->ttl, $record->data),
                    $wild,
                );
            }
        }

        return [];
    }

    /** Whether there is such a name or anything below it. */
    public function exists(string $name): bool
    {
        if ($name === $this->origin) {
            return true;
        }
        foreach ($this->records as $record) {
            if ($record->name === $name || str_ends_with($record->name, ".{$name}")) {
                return true;
            }
        }

        return false;
    }

    private static function record(string $name, string $type, int $ttl, string $data): Record
    {
        [$number, $value] = match ($type) {
            'A' => [Message::TYPE_A, $data],
            'AAAA' => [Message::TYPE_AAAA, $data],
            'CNAME' => [Message::TYPE_CNAME, $data],
            'NS' => [Message::TYPE_NS, $data],
            'MX' => [
                Message::TYPE_MX,
                ['priority' => (string) (int) $data, 'target' => rtrim((string) preg_replace('/^\d+\s+/', '', $data), '.')],
            ],
            default => [Message::TYPE_TXT, str_split($data, 255)],
        };

        return new Record($name, $number, Message::CLASS_IN, $ttl, $value);
    }
}
