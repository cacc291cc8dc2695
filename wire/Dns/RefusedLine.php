<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** A record of a zone file that could not be read. */
final readonly class RefusedLine
{
    /** @param  int  $line  the first one is 1 */
    public function __construct(public int $line, public string $text, public string $why)
    {
    }
}
