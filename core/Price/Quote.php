<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;

/** What something costs now, with tax, and what it will have cost after some years. */
final readonly class Quote
{
    /**
     * @param  Rate  $now  what is asked for the years that are bought now
     * @param  int  $years  that are bought now; of what is paid once, one
     * @param  Rate  $later  what a year costs afterwards
     * @param  list<Rate>  $once  what is paid beside, this one time
     */
    public function __construct(public Rate $now, public int $years, public Rate $later, public array $once = [])
    {
        foreach ([$later, ...$once] as $one) {
            if ($one->net->currency !== $now->net->currency) {
                throw MoneyError::twoCurrencies($now->net->currency, $one->net->currency);
            }
        }
    }

    public function net(): Money
    {
        return array_reduce($this->once, fn (Money $sum, Rate $one): Money => $sum->plus($one->net()), $this->now->net($this->years));
    }

    public function tax(): Money
    {
        return $this->total()->minus($this->net());
    }

    public function total(): Money
    {
        return array_reduce($this->once, fn (Money $sum, Rate $one): Money => $sum->plus($one->gross()), $this->now->gross($this->years));
    }

    /** What is saved against the list price; nothing, where no offer holds. */
    public function saved(): Money
    {
        return $this->now->usual()->gross($this->years)->minus($this->now->gross($this->years));
    }

    /** A year of it once that is over; each year is an invoice of its own. */
    public function nextYear(): Money
    {
        return $this->later->usual()->gross();
    }

    /** In the end, over so many years: what is paid now, and each year after that. */
    public function over(int $years): Money
    {
        return $this->total()->plus($this->nextYear()->times(max(0, $years - $this->years)));
    }
}
