<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;

/** What a name costs over some years where it is, and at another registrar: the transfer, the year that it may add, and renewals. */
final readonly class Move
{
    private function __construct(public Money $stays, public Money $moves)
    {
    }

    /**
     * @param  Rate  $here  of a year where it is
     * @param  Rate  $transfer  of the transfer
     * @param  Rate  $there  of a year afterwards
     * @param  int  $adds  years that the transfer adds to the end, and that need no renewal
     * @param  int  $years  that are compared
     * @return self|null null: the prices are in two currencies
     */
    public static function of(Rate $here, Rate $transfer, Rate $there, int $adds, int $years): ?self
    {
        $currency = $here->net->currency;
        if ($transfer->net->currency !== $currency || $there->net->currency !== $currency) {
            return null;
        }
        $renewals = max(0, $years - $adds);

        return new self(
            self::yearly($here, $years),
            // What is offered today is over by the first renewal there.
            $renewals === 0 ? $transfer->gross() : $transfer->gross()->plus(self::yearly($there->usual(), $renewals)),
        );
    }

    /** What is saved by it; below nothing: it costs more. */
    public function saves(): Money
    {
        return $this->stays->minus($this->moves);
    }

    /** Each year is an invoice of its own; what is offered now holds for the first of them. */
    private static function yearly(Rate $rate, int $years): Money
    {
        return $rate->gross()->plus($rate->usual()->gross()->times($years - 1));
    }
}
