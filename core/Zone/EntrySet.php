<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** All records of one host and type (RFC 2181 §5). */
final readonly class EntrySet
{
    /** Whose data is names and numbers, so that its case says nothing (RFC 4343). */
    private const OF_NAMES = ['NS', 'CNAME', 'DNAME', 'MX', 'PTR', 'SRV', 'SOA'];

    /**
     * @param  non-empty-list<string>  $data  each once, in order
     * @param  int  $ttl  seconds; all records of a set have one (RFC 2181 §5.2), so the shortest counts
     */
    private function __construct(public string $host, public string $type, public int $ttl, public array $data)
    {
    }

    /** @param  non-empty-list<Entry>  $entries  of one host and type */
    public static function of(array $entries): self
    {
        $data = array_map(fn (Entry $entry): string => self::plain($entry->type, $entry->data), $entries);
        $data = array_values(array_unique($data));
        sort($data, SORT_STRING);

        return new self(
            $entries[0]->host,
            $entries[0]->type,
            min(array_map(fn (Entry $entry): int => $entry->ttl, $entries)),
            $data,
        );
    }

    /** @return non-empty-list<Entry> every record by itself */
    public function entries(): array
    {
        return array_map(fn (string $data): Entry => new Entry($this->host, $this->type, $this->ttl, $data), $this->data);
    }

    /** Whether it says the same; how long answers may be kept is another matter, and so is the serial of a zone (RFC 1982). */
    public function saysTheSameAs(self $other): bool
    {
        return $this->type === 'SOA'
            ? self::withoutSerial($this->data[0]) === self::withoutSerial($other->data[0])
            : $this->data === $other->data;
    }

    private static function plain(string $type, string $data): string
    {
        return in_array($type, self::OF_NAMES, true) ? strtolower($data) : $data;
    }

    private static function withoutSerial(string $soa): string
    {
        return (string) preg_replace('/\A(\S+ \S+) \d+/', '$1', $soa);
    }
}
