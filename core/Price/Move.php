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
     * @param  Rate|null  $privacyHere  a year of what hides the registrant, where it is wanted and has a price at both; null: it isn't
     * @param  Rate|null  $privacyThere  the same there
     * @return self|null null: the prices are in two currencies
     */
    public static function of(
        Rate $here,
        Rate $transfer,
        Rate $there,
        int $adds,
        int $years,
        ?Rate $privacyHere = null,
        ?Rate $privacyThere = null,
    ): ?self {
        $currency = $here->net->currency;
        foreach ([$transfer, $there, $privacyHere, $privacyThere] as $one) {
            if ($one !== null && $one->net->currency !== $currency) {
                return null;
            }
        }
        $none = Money::ofMinor(0, $currency);
        $privacy = fn (?Rate $rate): Money => $privacyHere === null || $privacyThere === null || $rate === null
            ? $none
            : self::yearly($rate, $years);
        $renewals = max(0, $years - $adds);

        return new self(
            self::yearly($here, $years)->plus($privacy($privacyHere)),
            // What is offered today is over by the first renewal there.
            $transfer->gross()->plus($renewals === 0 ? $none : self::yearly($there->usual(), $renewals))->plus($privacy($privacyThere)),
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
