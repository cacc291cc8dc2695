<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** One record of a zone. */
final readonly class Entry
{
    /**
     * @param  string  $host  small letters, without the last dot
     * @param  string  $type  `MX`
     * @param  int  $ttl  seconds
     * @param  string  $data  as zone files write it, names with their last dot
     */
    public function __construct(public string $host, public string $type, public int $ttl, public string $data)
    {
    }
}
