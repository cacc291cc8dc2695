<?php

declare(strict_types=1);

namespace Acre\Core\Money;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\RoundingNecessaryException;
use Brick\Math\RoundingMode;
use JsonSerializable;

/** An amount in one currency, to as many decimals as that has. Amounts of two currencies never add. */
final readonly class Money implements JsonSerializable
{
    private const SIGNS = ['GBP' => '£', 'EUR' => '€', 'USD' => '$'];

    private function __construct(private BigDecimal $amount, public string $currency)
    {
    }

    /**
     * @param  string  $amount  decimal with a point: `12.50`
     * @param  string  $currency  ISO 4217, three capitals
     *
     * @throws MoneyError
     */
    public static function of(string $amount, string $currency): self
    {
        if (preg_match('/^-?\d{1,10}(\.\d{1,4})?$/D', $amount) !== 1) {
            throw MoneyError::notAnAmount($amount);
        }
        if (preg_match('/^[A-Z]{3}$/D', $currency) !== 1) {
            throw MoneyError::notACurrency($currency);
        }

        try {
            return new self(BigDecimal::of($amount)->toScale(Decimals::of($currency)), $currency);
        } catch (RoundingNecessaryException) {
            throw MoneyError::tooFine($amount, $currency, Decimals::of($currency));
        }
    }

    /**
     * To the currency's decimals, halves up, as a spreadsheet shows what it computed: 9.996 is 10.00.
     *
     * @param  string  $amount  decimal with a point, with any number of decimals
     *
     * @throws MoneyError
     */
    public static function rounded(string $amount, string $currency): self
    {
        if (preg_match('/^-?\d{1,10}(\.\d{1,20})?$/D', $amount) !== 1) {
            throw MoneyError::notAnAmount($amount);
        }

        return self::of((string) BigDecimal::of($amount)->toScale(Decimals::of($currency), RoundingMode::HALF_UP), $currency);
    }

    /** @param  int  $units  of the smallest that the currency has: pence, cents */
    public static function ofMinor(int $units, string $currency): self
    {
        return new self(BigDecimal::ofUnscaledValue($units, Decimals::of($currency)), $currency);
    }

    /** In the smallest unit that the currency has. */
    public function minor(): int
    {
        return $this->amount->getUnscaledValue()->toInt();
    }

    /** @throws MoneyError when the currencies differ */
    public function plus(self $other): self
    {
        if ($other->currency !== $this->currency) {
            throw MoneyError::twoCurrencies($this->currency, $other->currency);
        }

        return new self($this->amount->plus($other->amount), $this->currency);
    }

    /** @throws MoneyError when the currencies differ */
    public function minus(self $other): self
    {
        if ($other->currency !== $this->currency) {
            throw MoneyError::twoCurrencies($this->currency, $other->currency);
        }

        return new self($this->amount->minus($other->amount), $this->currency);
    }

    /**
     * @return int below nothing where this is less, above it where it is more
     *
     * @throws MoneyError when the currencies differ
     */
    public function compare(self $other): int
    {
        return $this->minus($other)->amount->getSign();
    }

    public function isPositive(): bool
    {
        return $this->amount->isPositive();
    }

    public function times(int $count): self
    {
        return new self($this->amount->multipliedBy($count), $this->currency);
    }

    /** @param  string  $percent  such as `20` or `7.7`; halves round up, as invoices do */
    public function withTax(string $percent): self
    {
        return $this->changedBy($percent);
    }

    /** What it was before so much tax came to it, where that is a sum of which the tax makes this one; null: there is none. */
    public function withoutTax(string $percent): ?self
    {
        $rate = BigDecimal::of($percent)->dividedBy(100, 6, RoundingMode::HALF_UP)->plus(1);
        $net = new self($this->amount->dividedBy($rate, Decimals::of($this->currency), RoundingMode::HALF_UP), $this->currency);

        return $net->withTax($percent)->equals($this) ? $net : null;
    }

    /** @param  string  $percent  by which it is more, or below nothing less; halves round up */
    public function changedBy(string $percent): self
    {
        $rate = BigDecimal::of($percent)->dividedBy(100, 6, RoundingMode::HALF_UP)->plus(1);

        return new self($this->amount->multipliedBy($rate)->toScale(Decimals::of($this->currency), RoundingMode::HALF_UP), $this->currency);
    }

    public function equals(self $other): bool
    {
        return $this->currency === $other->currency && $this->amount->isEqualTo($other->amount);
    }

    /** `12.50` */
    public function decimal(): string
    {
        return (string) $this->amount;
    }

    /** The currency's sign where it has one that is understood, otherwise nothing. */
    public function sign(): string
    {
        return self::SIGNS[$this->currency] ?? '¤';
    }

    /** `£12.50`, or `CHF 12.50` */
    public function text(): string
    {
        $sign = self::SIGNS[$this->currency] ?? $this->currency."\u{00A0}";

        return $this->amount->isNegative() ? '−'.$sign.$this->amount->abs() : $sign.$this->amount;
    }

    /** @return array{string, string} amount and currency */
    public function jsonSerialize(): array
    {
        return [$this->decimal(), $this->currency];
    }
}
