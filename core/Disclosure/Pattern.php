<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Contact\Field;

/** Which fields of the holder the world may read: a wish, which suffix and registrar grant or don't. */
final readonly class Pattern
{
    /** @param  list<Field>  $fields  in the record's order */
    private function __construct(public array $fields)
    {
    }

    /** @param  array<array-key, Field>  $fields */
    public static function of(array $fields): self
    {
        return new self(array_values(array_filter(Field::cases(), fn (Field $field): bool => in_array($field, $fields, true))));
    }

    /** @param  array<array-key, mixed>  $words  what is no field is left out */
    public static function read(array $words): self
    {
        return self::of(array_filter(array_map(fn (mixed $word): ?Field => is_string($word) ? Field::tryFrom($word) : null, $words)));
    }

    public function shows(Field $field): bool
    {
        return in_array($field, $this->fields, true);
    }

    public function equals(self $other): bool
    {
        return $this->fields === $other->fields;
    }

    /** Shows no field that the other doesn't. */
    public function isWithin(self $other): bool
    {
        return $this->without($other) === [];
    }

    /** @return list<Field> what it shows beyond the other */
    public function without(self $other): array
    {
        return array_values(array_filter($this->fields, fn (Field $field): bool => ! $other->shows($field)));
    }

    /** @return list<string> */
    public function words(): array
    {
        return array_column($this->fields, 'value');
    }
}
