<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** A zone as a file (RFC 1035 §5): what could be read of it, and what not. */
final readonly class MasterFile
{
    /**
     * @param  list<Record>  $records  in the order of the file
     * @param  list<RefusedLine>  $refused
     */
    public function __construct(public array $records, public array $refused)
    {
    }

    /**
     * @param  Name|null  $origin  of names without their last dot, until the file says otherwise
     * @param  int|null  $ttl  seconds, where the file says none
     */
    public static function read(string $text, ?Name $origin = null, ?int $ttl = null): self
    {
        return (new MasterFileReader($origin, $ttl))->read($text);
    }

    /** Each line whole in itself, so that every server reads it alike; the SOA first, as some insist. */
    public function __toString(): string
    {
        $soa = array_filter($this->records, fn (Record $record): bool => $record->type === RecordType::SOA->value);
        $others = array_filter($this->records, fn (Record $record): bool => $record->type !== RecordType::SOA->value);

        return implode('', array_map(fn (Record $record): string => "{$record}\n", [...$soa, ...$others]));
    }
}
