<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Renewal;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Gates\GateOrders;
use App\Queries\Money\AccountPurse;
use App\Queries\Money\PriceBook;
use App\Queries\Money\Purses;
use App\Queries\Names\HeldCase;

/** Makes the renewals of names that the core judges; what accounts hold is shared out in the order in which the names come. */
final class JudgeRenewals
{
    /** @var array<int, AccountPurse> by account */
    private array $purses = [];

    /** @var array<int, array<string, array<string, Rate>>> by registrar, suffix and action */
    private array $prices = [];

    /** @var array<int, Money|null> what is left of its account's balance for a name, by name */
    private array $left = [];

    public function __construct(
        private readonly Purses $accounts,
        private readonly PriceBook $book,
        private readonly GateOrders $orders,
        private readonly Rulebook $rules,
    ) {
    }

    /** @param  list<HeldCase>  $files */
    public function readAhead(array $files, int $years, Instant $now): void
    {
        $names = array_map(fn (HeldCase $file): int => $file->nameId, $files);
        $this->purses = $this->accounts->of(array_unique(array_map(fn (HeldCase $file): int => $file->account->id, $files)), $names);
        $this->prices = $this->book->of(array_unique(array_map(fn (HeldCase $file): int => $file->account->registrar, $files)), $now);
        $this->left = [];
        $left = array_map(fn (AccountPurse $purse): ?Money => $purse->left(), $this->purses);
        foreach ($files as $file) {
            $has = $this->left[$file->nameId] = $left[$file->account->id] ?? null;
            $renewal = $this->of($file, $years, $now);
            $price = $renewal->price();
            // What can't go spends nothing.
            if ($has !== null && $price?->currency === $has->currency && $renewal->judge()->isClear()) {
                $left[$file->account->id] = $has->minus($price);
            }
        }
    }

    /** Of a name that was read ahead. */
    public function of(HeldCase $file, int $years, Instant $now): Renewal
    {
        $rates = $this->prices[$file->account->registrar][$file->facts->name->suffix()] ?? [];
        $purse = $this->purses[$file->account->id] ?? null;

        return new Renewal(
            $file->life($this->rules, $now),
            $years,
            // A price of its own is what is paid in the end; nobody has said what of it is tax.
            $file->late->renew === null || $file->late->renew->equals(($rates['renew'] ?? null)?->gross() ?? $file->late->renew->times(-1))
                ? $rates['renew'] ?? null
                : new Rate($file->late->renew, '0'),
            $rates['late'] ?? null,
            new Paying(
                $file->account->number,
                $file->account->registrarName,
                $file->account->ours,
                $this->orders->takesCommands($file->account->id),
                ...$purse === null ? [] : [$purse->from, $this->left[$file->nameId] ?? null, $purse->cardEnds],
            ),
            $file->waiting,
            $file->seenOutside(),
        );
    }
}
