<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** What a zone says, by sets of records. */
final readonly class ZoneCopy
{
    /** Made by whoever signs, anew each time (RFC 4034, RFC 5155): they are nobody's wish. */
    private const MADE_BY_SIGNING = ['RRSIG', 'NSEC', 'NSEC3', 'NSEC3PARAM'];

    private const OF_SIGNERS = ['DNSKEY', 'CDS', 'CDNSKEY'];

    /**
     * @param  array<string, EntrySet>  $sets  by host and type
     * @param  list<string>  $unread  hosts and types of which nobody knows whether it has them
     */
    private function __construct(public string $zone, public array $sets, public array $unread)
    {
    }

    /**
     * @param  string  $zone  small letters, without the last dot
     * @param  iterable<Entry>  $entries
     * @param  list<string>  $unread  hosts and types that were asked for without an answer: `www.example.org A`
     */
    public static function of(string $zone, iterable $entries, array $unread = []): self
    {
        $together = [];
        foreach ($entries as $entry) {
            if (! in_array($entry->type, self::MADE_BY_SIGNING, true)) {
                $together["{$entry->host} {$entry->type}"][] = $entry;
            }
        }

        return new self($zone, array_map(EntrySet::of(...), $together), $unread);
    }

    /** @param  list<string>  $keys  hosts and types: `example.org NS` */
    public function without(array $keys): self
    {
        return new self($this->zone, array_diff_key($this->sets, array_flip($keys)), $this->unread);
    }

    /** @return int seconds for which the answer that is kept longest may be; 0: it has none */
    public function longest(): int
    {
        return max(0, ...array_map(fn (EntrySet $set): int => $set->ttl, array_values($this->sets)));
    }

    /** @return list<Entry> every record by itself */
    public function entries(): array
    {
        return array_merge(...array_map(fn (EntrySet $set): array => $set->entries(), array_values($this->sets)));
    }

    /**
     * As a zone file that any server loads (RFC 1035 §5): each line whole in itself, the SOA first; without keys, as whoever signs has
     * their own.
     */
    public function asFile(): string
    {
        $lines = ['', ''];
        foreach ($this->entries() as $entry) {
            if (! in_array($entry->type, self::OF_SIGNERS, true)) {
                $lines[$entry->type === 'SOA' ? 0 : 1] .= "{$entry->host}.\t{$entry->ttl}\tIN\t{$entry->type}\t{$entry->data}\n";
            }
        }

        return implode('', $lines);
    }
}
