<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

use Stringable;

/** What a record says: one class a type, each with its form in messages and its form in zone files. */
interface Data extends Stringable
{
    /**
     * @param  int  $length  bytes that are the record's own
     *
     * @throws DnsError
     */
    public static function read(Octets $from, int $length): static;

    /** @throws DnsError */
    public static function parse(Values $values): static;

    public function write(Packet $to): void;

    /** As zone files write it; names with their last dot. */
    public function __toString(): string;
}
