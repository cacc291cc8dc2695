<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Balance\CreditsLeft;
use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Sale;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Gates\GateOrders;
use App\Queries\Money\AccountPurse;
use App\Queries\Money\PriceBook;
use App\Queries\Money\Purses;
use App\Queries\Names\HeldCase;

/**
 * Makes the sales of names that the core judges; what accounts hold is shared out in the order in which the names come.
 *
 * @template TSale of Sale
 */
abstract class JudgeSales
{
    /** @var array<int, AccountPurse> by account */
    private array $purses = [];

    /** @var array<int, array<string, array<string, Rate>>> by registrar, suffix and action */
    private array $prices = [];

    /** @var array<int, Money|null> what is left of its account's balance for a name, by name */
    private array $left = [];

    /** @var array<int, CreditsLeft> by account, beside its balance */
    private array $credits = [];

    /** @var array<int, Money> what they pay of a name, by name */
    private array $credit = [];

    final public function __construct(
        private readonly Purses $accounts,
        private readonly PriceBook $book,
        private readonly GateOrders $orders,
        protected readonly Rulebook $rules,
    ) {
    }

    /**
     * @param  array<string, mixed>  $terms  of the deed
     * @param  array<string, Rate>  $rates  of its suffix at its registrar, by action
     * @return TSale
     */
    abstract protected function make(HeldCase $file, array $terms, Instant $now, array $rates, Paying $paying): Sale;

    /** @return 'renew'|'restore' what is sold, as prices, credits and the ledger name it */
    abstract public function action(): string;

    /**
     * @param  list<HeldCase>  $files
     * @param  array<string, mixed>  $terms
     */
    final public function readAhead(array $files, array $terms, Instant $now): void
    {
        $names = array_map(fn (HeldCase $file): int => $file->nameId, $files);
        $this->purses = $this->accounts->of(array_unique(array_map(fn (HeldCase $file): int => $file->account->id, $files)), $names);
        $this->prices = $this->book->of(array_unique(array_map(fn (HeldCase $file): int => $file->account->registrar, $files)), $now);
        $this->left = $this->credits = $this->credit = [];
        $left = array_map(fn (AccountPurse $purse): ?Money => $purse->left(), $this->purses);
        foreach ($files as $file) {
            $has = $this->left[$file->nameId] = $left[$file->account->id] ?? null;
            $price = $this->of($file, $terms, $now)->price();
            if ($has === null || $price?->currency !== $has->currency) {
                continue;
            }
            $credits = $this->credits[$file->account->id]
                ??= new CreditsLeft($this->purses[$file->account->id]->creditsIn($has->currency));
            $ascii = $file->facts->name->ascii;
            $part = $credits->part($ascii, $this->action(), $price->minor(), $now);
            $this->credit[$file->nameId] = Money::ofMinor($part, $has->currency);
            // What can't go spends nothing.
            if ($this->of($file, $terms, $now)->judge()->isClear()) {
                $credits->take($ascii, $this->action(), $price->minor(), $now);
                $left[$file->account->id] = $has->minus($price)->plus($this->credit[$file->nameId]);
            }
        }
    }

    /**
     * Of a name that was read ahead.
     *
     * @param  array<string, mixed>  $terms
     * @return TSale
     */
    final public function of(HeldCase $file, array $terms, Instant $now): Sale
    {
        $purse = $this->purses[$file->account->id] ?? null;

        return $this->make(
            $file,
            $terms,
            $now,
            $this->prices[$file->account->registrar][$file->facts->name->suffix()] ?? [],
            new Paying(
                $file->account->number,
                $file->account->registrarName,
                $file->account->ours,
                $this->orders->takesCommands($file->account->id),
                ...$purse === null ? [] : [
                    $purse->from,
                    $this->left[$file->nameId] ?? null,
                    $purse->cardEnds,
                    $this->credit[$file->nameId] ?? null,
                ],
            ),
        );
    }

    /**
     * A price of a name's own is what is paid in the end; the tax in it is that of its registrar's list, where that can be.
     *
     * @param  Rate|null  $listed  what its registrar's list has
     */
    final protected static function rate(?Money $own, ?Rate $listed): ?Rate
    {
        if ($own === null || $listed?->gross()->equals($own) === true) {
            return $listed;
        }
        $net = $listed === null ? null : $own->withoutTax($listed->taxPercent);

        return $net === null || $listed === null ? new Rate($own, '0') : new Rate($net, $listed->taxPercent);
    }
}
