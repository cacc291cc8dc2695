<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Time\Instant;

/**
 * A balance run forward: each charge to come, in its registrar's order, what is left after it, and which are refused.
 *
 * A prepaid balance doesn't go below nothing: charges are refused one by one, and a later smaller one may still pass (common practice).
 * What pays only for some things pays for them first, and the balance the rest; of a charge that is refused nothing is taken.
 */
final readonly class Forecast
{
    /** @param  list<Entry>  $entries  by time, and within a day in the order in which they happen */
    private function __construct(public Purse $purse, public array $entries)
    {
    }

    /**
     * @param  list<Charge>  $charges  in any order, all in the purse's currency; of one name several, if it renews more than once
     * @param  list<TopUp>  $topUps  in any order; on one day they come before its charges
     *
     * @throws MoneyError when one is of another currency
     */
    public static function of(Purse $purse, array $charges, array $topUps = []): self
    {
        usort($topUps, fn (TopUp $one, TopUp $other): int => $one->at->epoch <=> $other->at->epoch);
        $charges = self::inOrder($charges, $purse->order);
        $left = $purse->holds?->minor();
        $credits = new CreditsLeft($purse->credits);
        $entries = [];
        $next = 0;
        /** @var list<array{Instant, Charge, int}> $waiting when a refused one is tried again, and which time that is */
        $waiting = [];
        /** @var array<string, true> $lost names that were not renewed, and so have no later term */
        $lost = [];
        $all = count($charges);
        for ($i = 0; $i < $all || $waiting !== [];) {
            $due = $charges[$i] ?? null;
            // What is tried again on a day comes before what is charged for the first time.
            if ($waiting !== [] && ($due === null || $waiting[0][0]->toDay()->epoch <= $due->at->toDay()->epoch)) {
                [$at, $charge, $tried] = array_shift($waiting);
            } else {
                [$at, $charge, $tried] = [$charges[$i]->at, $charges[$i], 0];
                $i++;
            }
            for (; isset($topUps[$next]) && $topUps[$next]->at->toDay()->epoch <= $at->toDay()->epoch; $next++) {
                $left = self::toppedUp($purse, $topUps[$next], $left, $entries);
            }
            if (isset($lost[$charge->name])) {
                continue;
            }
            $amount = self::minor($purse, $charge->amount);
            $credited = $purse->credits === [] ? 0 : $credits->part($charge->name, $charge->for, $amount, $at);
            $isPaid = self::isPaid($purse, $amount - $credited, $at, $left);
            if ($isPaid && $left !== null) {
                $left -= $amount - $credited;
            }
            if ($isPaid && $credited > 0) {
                $credits->take($charge->name, $charge->for, $amount, $at);
            }
            $again = $isPaid || ! isset($purse->retries[$tried]) ? null : $charge->at->plusDays($purse->retries[$tried]);
            $entries[] = new Entry(
                $at,
                $isPaid ? EntryKind::Charged : EntryKind::Refused,
                $charge->amount,
                $left,
                $charge,
                $again,
                $isPaid ? $credited : 0,
            );
            if ($again !== null) {
                $waiting = self::queued($waiting, [$again, $charge, $tried + 1]);
            } elseif (! $isPaid) {
                $lost[$charge->name] = true;
            }
        }
        for (; isset($topUps[$next]); $next++) {
            $left = self::toppedUp($purse, $topUps[$next], $left, $entries);
        }

        return new self($purse, $entries);
    }

    /** @return list<Entry> charges that fail for good: the names are not renewed */
    public function failures(): array
    {
        return array_values(array_filter($this->entries, fn (Entry $entry): bool => $entry->isLast()));
    }

    /** When a charge goes through that was refused at first; null: it never does, or it was not refused. */
    public function paidLater(Charge $charge): ?Instant
    {
        foreach ($this->entries as $entry) {
            if ($entry->charge === $charge && $entry->kind === EntryKind::Charged && $entry->isTriedAgain()) {
                return $entry->at;
            }
        }

        return null;
    }

    /** The first charge that is refused, whether or not a later attempt passes; null: none is. */
    public function firstRefused(): ?Entry
    {
        foreach ($this->entries as $entry) {
            if ($entry->kind === EntryKind::Refused) {
                return $entry;
            }
        }

        return null;
    }

    /** What would have to be there beside, so that nothing is refused on a day; of a purse without a balance, what is charged then. */
    public function missingOn(Instant $day): Money
    {
        $credits = new CreditsLeft($this->purse->credits);
        $left = $this->purse->holds?->minor() ?? 0;
        $sum = 0;
        foreach ($this->entries as $entry) {
            $days = $entry->at->toDay()->epoch <=> $day->toDay()->epoch;
            if ($entry->charge === null) {
                $left = $days > 0 ? $left : $entry->left ?? 0;
            } elseif ($days === 0 || ($days < 0 && $entry->kind === EntryKind::Charged)) {
                $amount = $entry->amount->minor();
                $rest = $amount - $credits->take($entry->charge->name, $entry->charge->for, $amount, $entry->at);
                $sum += $days === 0 ? $rest : 0;
                $left = $days === 0 ? $left : $entry->left ?? 0;
            }
        }

        return Money::ofMinor(max(0, $sum - $left), $this->purse->currency);
    }

    /** What is left at the end of the span; null: the account has no balance. */
    public function last(): ?Money
    {
        return $this->entries === [] ? $this->purse->holds : $this->entries[count($this->entries) - 1]->after();
    }

    /**
     * By day, and within a day as the registrar charges: what is sorted is short, however many there are.
     *
     * @param  list<Charge>  $charges
     * @return list<Charge>
     */
    private static function inOrder(array $charges, ChargeOrder $order): array
    {
        $days = [];
        foreach ($charges as $charge) {
            $days[$charge->at->toDay()->epoch][] = $charge;
        }
        ksort($days);
        $all = [];
        foreach ($days as $day) {
            usort($day, $order->compare(...));
            array_push($all, ...$day);
        }

        return $all;
    }

    /** @param  int  $amount  that no credit pays, in the smallest unit */
    private static function isPaid(Purse $purse, int $amount, Instant $at, ?int $left): bool
    {
        return match ($purse->from) {
            PaidFrom::Balance => $amount <= ($left ?? 0),
            PaidFrom::Card => $purse->cardEnds === null || $at->isBefore($purse->cardEnds),
            PaidFrom::Invoice => true,
        };
    }

    /** @param  list<Entry>  $entries */
    private static function toppedUp(Purse $purse, TopUp $topUp, ?int $left, array &$entries): ?int
    {
        $left = $left === null ? null : $left + self::minor($purse, $topUp->amount);
        $entries[] = new Entry($topUp->at, EntryKind::TopUp, $topUp->amount, $left);

        return $left;
    }

    private static function minor(Purse $purse, Money $amount): int
    {
        return $amount->currency === $purse->currency
            ? $amount->minor()
            : throw MoneyError::twoCurrencies($amount->currency, $purse->currency);
    }

    /**
     * Behind all that are tried on the same day, or before.
     *
     * @param  list<array{Instant, Charge, int}>  $waiting  in order
     * @param  array{Instant, Charge, int}  $one
     * @return list<array{Instant, Charge, int}>
     */
    private static function queued(array $waiting, array $one): array
    {
        $place = count($waiting);
        while ($place > 0 && $waiting[$place - 1][0]->toDay()->epoch > $one[0]->toDay()->epoch) {
            $place--;
        }
        array_splice($waiting, $place, 0, [$one]);

        return $waiting;
    }
}
