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
     * @param  Money  $net  before tax, by its list
     * @param  string  $taxPercent  such as `20` or `7.7`
     * @param  Offer|null  $offer  what it asks instead for now; null: nothing else
     */
    public function __construct(public readonly Money $net, public readonly string $taxPercent, public readonly ?Offer $offer = null)
    {
    }

    public function net(int $times = 1): Money
    {
        return $this->offer === null ? $this->net->times($times) : $this->offer->net($this->net, $times);
    }

    /** What is paid in the end: tax is worked out on the whole, as invoices do, and not on each year. */
    public function gross(int $times = 1): Money
    {
        return $this->gross[$times] ??= $this->net($times)->withTax($this->taxPercent);
    }

    /** What is asked once nothing else holds any more. */
    public function usual(): self
    {
        return $this->offer === null ? $this : new self($this->net, $this->taxPercent);
    }

    /**
     * The cheapest of what it asks for a year.
     *
     * @param  list<Offer>  $offers
     */
    public function with(array $offers): self
    {
        $best = $this;
        foreach ($offers as $offer) {
            $rate = new self($this->net, $this->taxPercent, $offer);
            if ($offer->fits($this->net) && $rate->net()->compare($best->net()) < 0) {
                $best = $rate;
            }
        }

        return $best;
    }
}
