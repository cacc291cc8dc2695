<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Dnssec\Key;
use Acre\Core\Zone\ZoneCopy;

/** What a server has of a zone. */
final readonly class ZoneAsked
{
    /**
     * @param  string  $host  that said it
     * @param  bool  $isWhole  whether it gave all of it away; else it was asked for what is known and usual
     * @param  list<Key>|null  $keys  null: not known
     */
    public function __construct(public string $host, public ZoneCopy $copy, public bool $isWhole, public ?array $keys)
    {
    }
}
