<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Contracts\Database\Eloquent\ComparesCastableAttributes;
use Illuminate\Database\Eloquent\Model;
use UnexpectedValueException;

/**
 * A timestamptz column as an Instant; with the name of a boolean column beside it, the precision is kept there.
 *
 * @implements CastsAttributes<Instant|null, Instant|null>
 */
final readonly class AsInstant implements CastsAttributes, ComparesCastableAttributes
{
    public function __construct(private ?string $isDay = null)
    {
    }

    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Instant
    {
        if (! is_string($value)) {
            return null;
        }
        $instant = Instant::of($value);

        return $this->isDay !== null && ($attributes[$this->isDay] ?? true) === true ? $instant->toDay() : $instant;
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @return array<string, string|bool|null>
     */
    public function set(Model $model, string $key, mixed $value, array $attributes): array
    {
        if ($value !== null && ! ($value instanceof Instant)) {
            throw new UnexpectedValueException("{$key} takes an Instant.");
        }
        $set = [$key => $value?->isoSecond()];
        if ($this->isDay !== null) {
            $set[$this->isDay] = $value === null || $value->precision === Precision::Day;
        }

        return $set;
    }

    /** PostgreSQL writes an instant otherwise than we do: the same is no change. */
    public function compare(Model $model, string $key, mixed $firstValue, mixed $secondValue): bool
    {
        return is_string($firstValue) && is_string($secondValue)
            ? Instant::of($firstValue)->epoch === Instant::of($secondValue)->epoch
            : $firstValue === $secondValue;
    }
}
