<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;

/** What a registrar asks for one year, or for one time, and the tax on it. */
final readonly class Rate
{
    /**
     * @param  Money  $net  before tax
     * @param  string  $taxPercent  such as `20` or `7.7`
     */
    public function __construct(public Money $net, public string $taxPercent)
    {
    }

    public function net(int $times = 1): Money
    {
        return $this->net->times($times);
    }

    /** What is paid in the end: tax is worked out on the whole, as invoices do, and not on each year. */
    public function gross(int $times = 1): Money
    {
        return $this->net($times)->withTax($this->taxPercent);
    }
}
