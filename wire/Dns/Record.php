<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

use Stringable;

/** One record of class IN (RFC 1035 §3.2.1). */
final readonly class Record implements Stringable
{
    /** @param  int  $ttl  seconds */
    public function __construct(public Name $name, public int $type, public int $ttl, public Data $data)
    {
    }

    /** The line of a zone file, whole in itself. */
    public function __toString(): string
    {
        return "{$this->name}\t{$this->ttl}\tIN\t".RecordType::text($this->type)."\t{$this->data}";
    }

    /** The data alone, as it is signed (RFC 4034 §6.2). */
    public function canonicalData(): string
    {
        $packet = Packet::canonical();
        $this->data->write($packet);

        return $packet->bytes;
    }
}
