<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/**
 * What of a refused form is kept for the next page. Of somebody who has not signed in only their mailbox: whoever sends it anew
 * each second would else fill the table of sessions. Of others what a person can have typed.
 */
final class OldInput
{
    /** Characters of one field, and bytes of all of them: a pasted list of five thousand names, and some. */
    private const FIELD = 200_000;

    private const ALL = 400_000;

    private const GUESTS = ['email' => 320, 'house' => 200, 'name' => 120];

    /** Members of a list, such as the fates of extras. */
    private const MEMBERS = 100;

    /** The fields that are lists; a list where a text belongs would break the next page. */
    private const LISTS = ['accept', 'accounts', 'clients', 'columns', 'extras', 'fields', 'lines', 'together'];

    private const NEVER = [
        'password',
        'password_confirmation',
        'current_password',
        'own_password',
        'gate_password',
        'code',
        'codes',
        '_token',
        '_method',
    ];

    /** @return array<string, mixed> */
    public static function of(Request $request): array
    {
        $kept = [];
        $left = self::ALL;
        foreach ($request->except(self::NEVER) as $field => $value) {
            $most = $request->user() === null ? self::GUESTS[$field] ?? 0 : self::FIELD;
            $value = is_array($value) && $request->user() !== null && in_array($field, self::LISTS, true) ? self::texts($value) : $value;
            $size = strlen((string) json_encode($value, JSON_INVALID_UTF8_SUBSTITUTE));
            if (
                (is_array($value)
                    ? $request->user() !== null && in_array($field, self::LISTS, true)
                    : is_scalar($value) && mb_strlen((string) $value) <= $most) &&
                $size <= $left
            ) {
                $kept[(string) $field] = $value;
                $left -= $size;
            }
        }

        return $kept;
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, string>
     */
    private static function texts(array $values): array
    {
        return array_filter(
            array_slice($values, 0, self::MEMBERS, true),
            fn (mixed $value): bool => is_string($value) && mb_strlen($value) <= self::FIELD,
        );
    }
}
