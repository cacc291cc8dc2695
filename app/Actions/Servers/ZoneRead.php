<?php

declare(strict_types=1);

namespace App\Actions\Servers;

/** What came of a zone file. */
final readonly class ZoneRead
{
    /**
     * @param  int  $records  that were kept
     * @param  list<array{int, string, string}>  $refused  number of the line, what it says, and why it was not kept
     */
    public function __construct(public int $records, public array $refused)
    {
    }
}
