<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;
use UnexpectedValueException;

/**
 * Bytes that only the house's key opens.
 *
 * @implements CastsAttributes<string|null, string|null>
 */
final class AsSecret implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return is_string($value) ? (string) base64_decode(Crypt::decryptString($value), true) : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        if ($value !== null && ! is_string($value)) {
            throw new UnexpectedValueException("{$key} takes bytes.");
        }

        return $value === null ? null : Crypt::encryptString(base64_encode($value));
    }
}
