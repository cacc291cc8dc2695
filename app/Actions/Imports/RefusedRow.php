<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use DomainException;

/** Why a line of a list is not taken. */
final class RefusedRow extends DomainException
{
    private function __construct(string $message, public readonly string $value)
    {
        parent::__construct($message);
    }

    /** @param  array<string, string|int>  $with */
    public static function because(string $key, string $value, array $with = []): self
    {
        $said = __('imports.refused.'.$key, ['value' => mb_strimwidth($value, 0, 120, '…')] + $with);

        return self::saying(is_string($said) ? $said : $key, $value);
    }

    public static function saying(string $message, string $value): self
    {
        return new self($message, mb_strimwidth($value, 0, 200, '…'));
    }
}
