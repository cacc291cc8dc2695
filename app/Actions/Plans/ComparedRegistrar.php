<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Models\Account;

/** What a migration of the same names would be to one of our accounts. */
final readonly class ComparedRegistrar
{
    /**
     * @param  array<string, Money>  $sums  of the transfers, with tax, by currency
     * @param  array<string, Money>  $later  of a year's renewal there of those that can go, with tax, by currency
     * @param  int  $unpriced  how many of those have no price of a renewal there
     */
    public function __construct(
        public Account $account,
        public int $canGo,
        public ?Instant $last,
        public array $sums,
        public array $later,
        public int $unpriced,
    ) {
    }

    /**
     * Most names first, then the cheaper in the long run: what is saved at the transfer comes once, what a year costs every year.
     * Sums in several currencies can't be told apart, and keep their order.
     */
    public static function compare(self $one, self $other): int
    {
        $byNames = [$other->canGo, $one->unpriced] <=> [$one->canGo, $other->unpriced];
        if ($byNames !== 0) {
            return $byNames;
        }
        $byYears = self::cheaper($one->later, $other->later);

        return $byYears === 0 ? self::cheaper($one->sums, $other->sums) : $byYears;
    }

    /**
     * @param  array<string, Money>  $one
     * @param  array<string, Money>  $other
     */
    private static function cheaper(array $one, array $other): int
    {
        $currency = count($one) === 1 && count($other) === 1 ? array_key_first($one) : '';

        return isset($one[$currency], $other[$currency]) ? $one[$currency]->compare($other[$currency]) : 0;
    }
}
