<?php

declare(strict_types=1);

namespace Acre\Core\Money;

/** Amounts added up, each currency by itself: nothing is ever exchanged. */
final class Sums
{
    /**
     * @param  iterable<Money|null>  $all  what is null adds nothing
     * @return array<string, Money> by currency, in the order in which they came first
     */
    public static function of(iterable $all): array
    {
        $sums = [];
        foreach ($all as $one) {
            if ($one !== null) {
                $sums[$one->currency] = isset($sums[$one->currency]) ? $sums[$one->currency]->plus($one) : $one;
            }
        }

        return $sums;
    }
}
