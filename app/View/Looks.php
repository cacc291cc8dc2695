<?php

declare(strict_types=1);

namespace App\View;

use App\Models\User;

/** How a person likes to see the Roll. */
final readonly class Looks
{
    /** @param  list<RollColumn>  $columns */
    private function __construct(public array $columns, public bool $compact)
    {
    }

    public static function of(User $user): self
    {
        return self::read($user->looks);
    }

    /** @param  array<array-key, mixed>  $given */
    public static function read(array $given): self
    {
        $columns = is_array($given['columns'] ?? null)
            ? array_values(
                array_filter(RollColumn::cases(), fn (RollColumn $column): bool => in_array($column->value, $given['columns'], true)),
            )
            : RollColumn::usual();

        return new self(array_slice($columns, 0, RollColumn::MOST), ($given['compact'] ?? false) === true);
    }

    /** @return array{columns: list<string>, compact: bool} */
    public function pack(): array
    {
        return ['columns' => array_map(fn (RollColumn $column): string => $column->value, $this->columns), 'compact' => $this->compact];
    }

    public function has(RollColumn $column): bool
    {
        return in_array($column, $this->columns, true);
    }

    /** @return list<RollColumn> those that are written out in words */
    public function written(): array
    {
        return array_values(array_filter($this->columns, fn (RollColumn $column): bool => $column !== RollColumn::Line));
    }
}
