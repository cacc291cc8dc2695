<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;

/** What is asked of a client on top of what was laid out for them: a share of it, and a fixed sum for each thing. */
final readonly class Surcharge
{
    /**
     * @param  string  $percent  such as `15` or `7.5`
     * @param  Money|null  $each  for each thing that was laid out; null: none
     */
    public function __construct(public string $percent, public ?Money $each)
    {
    }

    /** @param  Money  $laidOut  above nothing; what was paid back (below nothing) takes its share back, and no fixed sum */
    public function on(Money $laidOut): Money
    {
        $share = $laidOut->changedBy($this->percent)->minus($laidOut);

        return $this->each === null || $this->each->currency !== $laidOut->currency || ! $laidOut->isPositive()
            ? $share
            : $share->plus($this->each);
    }
}
