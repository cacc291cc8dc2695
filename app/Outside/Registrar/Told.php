<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Time\Instant;
use JsonSerializable;

/** What a registrar says of an order beside yes or no. */
final readonly class Told implements JsonSerializable
{
    /**
     * @param  Instant|null  $ends  the end that the name has now
     * @param  Money|null  $charged  as registrars by wire count it, before tax
     * @param  Money|null  $balance  what the account holds afterwards
     */
    public function __construct(public ?Instant $ends = null, public ?Money $charged = null, public ?Money $balance = null)
    {
    }

    /** @param  array<array-key, mixed>  $told  as it stands in `orders.told` */
    public static function read(array $told): self
    {
        $text = fn (string $key): ?string => is_string($told[$key] ?? null) ? $told[$key] : null;
        $ends = $text('ends');

        return new self(
            $ends === null ? null : Instant::of($ends),
            self::money($text('charged'), $text('currency')),
            self::money($text('balance'), $text('currency')),
        );
    }

    /**
     * What an answer says, as far as it can be understood: an amount that is none changes nothing of what was done.
     *
     * @param  list<string>|null  $charged  decimals that are added up
     */
    public static function of(?Instant $ends, ?array $charged, ?string $balance, ?string $currency): self
    {
        $sums = array_values(array_filter(array_map(
            fn (string $one): ?Money => self::money($one, $currency),
            $charged ?? [],
        )));

        return new self(
            $ends,
            $sums === [] || count($sums) !== count($charged ?? [])
                ? null
                : array_reduce(array_slice($sums, 1), fn (Money $sum, Money $one): Money => $sum->plus($one), $sums[0]),
            self::money($balance, $currency),
        );
    }

    public function isEmpty(): bool
    {
        return $this->ends === null && $this->charged === null && $this->balance === null;
    }

    /** @return array<string, string> */
    public function jsonSerialize(): array
    {
        return array_filter([
            'ends' => $this->ends?->iso(),
            'charged' => $this->charged?->decimal(),
            'balance' => $this->balance?->decimal(),
            'currency' => $this->charged->currency ?? $this->balance?->currency,
        ], is_string(...));
    }

    private static function money(?string $amount, ?string $currency): ?Money
    {
        try {
            return $amount === null || $currency === null ? null : Money::of($amount, $currency);
        } catch (MoneyError) {
            return null;
        }
    }
}
