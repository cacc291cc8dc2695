<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** One thing to do: what, by when, what leaving it costs, and the deed that does it. */
final readonly class RoundsItem
{
    /**
     * @param  string  $key  the same every time that the same thing is computed, and another one once it falls due again
     * @param  Instant  $due  a day
     * @param  string  $title  a name, or `tern.works and 3 more`
     * @param  string  $says  what about it
     * @param  string  $cost  what leaving it undone means, in a few words
     * @param  string  $deed  the words on the button
     * @param  string  $address  where the button leads
     * @param  string|null  $see  where it can be looked at, if not there
     * @param  int  $names  how many names it is about
     * @param  Money|null  $loss  what is lost when it is left undone
     * @param  bool  $isName  whether the title is a name
     * @param  Instant|null  $last  the last day on which something can be done, where that is another than the one on which it is due
     */
    public function __construct(
        public string $key,
        public RoundsSection $section,
        public Instant $due,
        public string $title,
        public string $says,
        public string $cost,
        public string $deed,
        public string $address,
        public int $names = 0,
        public ?Money $loss = null,
        public ?string $see = null,
        public bool $isName = true,
        public ?Instant $last = null,
    ) {
    }
}
