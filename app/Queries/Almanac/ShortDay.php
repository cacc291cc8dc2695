<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\Entry;
use Acre\Core\Balance\EntryKind;
use Acre\Core\Balance\PaidFrom;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** The first day on which an account can't pay: for how many of how many, and what is missing. */
final readonly class ShortDay
{
    /**
     * @param  string  $name  the first that is refused, A-labels
     * @param  Money|null  $missing  null: it pays by card
     */
    private function __construct(public Instant $at, public int $refused, public int $charged, public string $name, public ?Money $missing)
    {
    }

    /** Null: it can always pay. */
    public static function of(AccountRun $run): ?self
    {
        $first = AlmanacRead::refused($run);
        if ($first?->charge === null) {
            return null;
        }
        $day = array_values(array_filter(
            $run->forecast->entries,
            fn (Entry $entry): bool => $entry->kind !== EntryKind::TopUp && $entry->at->toDay()->epoch === $first->at->toDay()->epoch,
        ));
        $refused = array_values(array_filter($day, fn (Entry $entry): bool => $entry->kind === EntryKind::Refused));

        return new self(
            $first->at,
            count($refused),
            count($day),
            $first->charge->name,
            $run->account->from === PaidFrom::Card ? null : $run->forecast->missingOn($first->at),
        );
    }
}
