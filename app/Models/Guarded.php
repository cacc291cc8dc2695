<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The columns that decide where a secret is sent, or where letters and their links lead: who changes one of them could get at
 * what they may not use, so it needs the right of whoever may.
 */
final class Guarded
{
    /** @var array<class-string<Model>, list<string>> of rows that are there */
    private const CHANGED = [
        Registrar::class => ['link', 'gate', 'gate_key', 'page', 'accepts_by', 'verifies_by', 'verification_sender'],
        Account::class => ['registrar_id', 'number', 'login', 'mailbox', 'handle', 'letters_to', 'access', 'proven_at'],
        Client::class => ['mailbox'],
        Custodian::class => ['mailbox'],
    ];

    /** @var array<class-string<Model>, list<string>> of new rows, on which nothing hangs yet */
    private const MADE = [Registrar::class => ['link', 'gate', 'gate_key']];

    /**
     * @param  array<string, mixed>  $values  what the row is to say
     * @return list<string> the columns that this person may not change so
     */
    public static function against(User $user, Model $row, array $values): array
    {
        $columns = $user->role->may(Right::Settle) ? [] : ($row->exists ? self::CHANGED : self::MADE)[$row::class] ?? [];
        $changed = (clone $row)->fill(array_intersect_key($values, array_flip($columns)))->getDirty();

        // Of a new row all is dirty; what stands there from the beginning is no choice of anybody's.
        return array_values(
            array_filter(
                $columns,
                fn (string $column): bool => array_key_exists($column, $changed) &&
                    array_key_exists($column, $values) &&
                    ($row->exists || $changed[$column] !== (new ($row::class)())->getAttribute($column)),
            ),
        );
    }

    /**
     * A registrant's mailbox, which is no column: whoever has it is asked for their yes. One that nobody knew may be recorded by
     * anybody.
     */
    public static function mailbox(User $user, ?string $before, ?string $after): bool
    {
        return $before !== null &&
            $before !== '' &&
            mb_strtolower($before) !== mb_strtolower((string) $after) &&
            ! $user->role->may(Right::Settle);
    }

    /** @return list<string> */
    public static function columns(Model $row): array
    {
        return ($row->exists ? self::CHANGED : self::MADE)[$row::class] ?? [];
    }
}
