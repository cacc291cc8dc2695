<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;

/** What a registrar asks for one year, or for one time, and the tax on it. */
final class Rate
{
    /** @var array<int, Money> what was worked out already, by the number of times: the names of a suffix share one rate */
    private array $gross = [];

    /**
     * @param  Money  $net  before tax
     * @param  string  $taxPercent  such as `20` or `7.7`
     */
    public function __construct(public readonly Money $net, public readonly string $taxPercent)
    {
    }

    public function net(int $times = 1): Money
    {
        return $this->net->times($times);
    }

    /** What is paid in the end: tax is worked out on the whole, as invoices do, and not on each year. */
    public function gross(int $times = 1): Money
    {
        return $this->gross[$times] ??= $this->net($times)->withTax($this->taxPercent);
    }
}
