<?php

declare(strict_types=1);

namespace App\Support;

use Acre\Core\Time\Instant;
use UnexpectedValueException;

/** One row of the query builder, read by type; a column that is not what was asked for is an error and not a null. */
final readonly class Row
{
    /** @param  array<array-key, mixed>  $columns */
    private function __construct(private array $columns)
    {
    }

    public static function of(mixed $row): self
    {
        return new self((array) $row);
    }

    /**
     * @param  iterable<mixed>  $rows
     * @return list<self>
     */
    public static function all(iterable $rows): array
    {
        $read = [];
        foreach ($rows as $row) {
            $read[] = self::of($row);
        }

        return $read;
    }

    public function int(string $column): int
    {
        return $this->intOrNull($column) ?? throw new UnexpectedValueException("{$column} is not a number.");
    }

    public function intOrNull(string $column): ?int
    {
        $value = $this->columns[$column] ?? null;

        return is_int($value) || (is_string($value) && preg_match('/^-?\d+$/', $value) === 1) ? (int) $value : null;
    }

    public function text(string $column): string
    {
        return $this->textOrNull($column) ?? throw new UnexpectedValueException("{$column} is not a text.");
    }

    public function textOrNull(string $column): ?string
    {
        $value = $this->columns[$column] ?? null;

        return is_string($value) ? $value : null;
    }

    public function bool(string $column): bool
    {
        return ($this->columns[$column] ?? false) === true;
    }

    public function boolOrNull(string $column): ?bool
    {
        $value = $this->columns[$column] ?? null;

        return is_bool($value) ? $value : null;
    }

    /** Null where the column is NULL or infinite. */
    public function instant(string $column, ?string $isDay = null): ?Instant
    {
        $value = $this->textOrNull($column);
        if ($value === null || str_contains($value, 'infinity')) {
            return null;
        }
        $instant = Instant::of($value);

        return $isDay !== null && $this->bool($isDay) ? $instant->toDay() : $instant;
    }

    /** @return array<array-key, mixed> */
    public function json(string $column): array
    {
        $value = json_decode($this->text($column), true, 64, JSON_THROW_ON_ERROR);

        return is_array($value) ? $value : throw new UnexpectedValueException("{$column} is not an object.");
    }
}
