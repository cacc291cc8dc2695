<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Money\Money;
use Acre\Core\Price\Move;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Support\Row;

/** Names that would be cheaper in one of our accounts elsewhere, in one currency. */
final readonly class Cheaper
{
    /**
     * @param  int  $held  how many of them can't move yet
     * @param  Instant|null  $heldUntil  when the last of those can
     * @param  list<Row>  $groups  which: registrar_id, suffix, own_renewal, own_currency
     */
    private function __construct(
        public Account $account,
        public int $names,
        public int $held,
        public ?Instant $heldUntil,
        public Money $stays,
        public Money $moves,
        public Money $saves,
        public array $groups,
    ) {
    }

    public static function at(Account $account, string $currency): self
    {
        $nothing = Money::ofMinor(0, $currency);

        return new self($account, 0, 0, null, $nothing, $nothing, $nothing, []);
    }

    /** @param  Row  $group  of names that cost the same: names, held, held_until */
    public function with(Row $group, Move $move): self
    {
        $names = $group->int('names');
        $until = $group->instant('held_until');

        return new self(
            $this->account,
            $this->names + $names,
            $this->held + $group->int('held'),
            $until === null ? $this->heldUntil : Instant::latest($until, ...array_filter([$this->heldUntil])),
            $this->stays->plus($move->stays->times($names)),
            $this->moves->plus($move->moves->times($names)),
            $this->saves->plus($move->saves()->times($names)),
            [...$this->groups, $group],
        );
    }
}
