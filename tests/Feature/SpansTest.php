<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** One at a time, in the database's own rules: a name's registration, its place, its registrant; a contact's versions. */
final class SpansTest extends TestCase
{
    /** Open since 2026; over: a year of its past. */
    private const SPANS = ['now' => '[2026-01-01,)', 'past' => '[2024-01-01,2025-01-01)'];

    #[TestWith(['registrations', 'name_id'])]
    #[TestWith(['holdings', 'name_id'])]
    #[TestWith(['roles', 'name_id'])]
    #[TestWith(['contact_versions', 'contact_id'])]
    public function test_spans_of_one_never_overlap(string $table, string $whose): void
    {
        $house = new House();
        $house->name('bell.com', facts: ['registrant' => 'The Foundry', 'mailbox' => 'post@bells.example']);
        DB::table($table)->update(['span' => self::SPANS['now']]);
        self::assertTaken($table, self::SPANS['past']);
        foreach (
            [
                '[2026-06-01,)' => "{$table}_today",
                '[2025-06-01,2026-06-01)' => "{$table}_one_at_a_time",
                '[2026-06-01,2026-07-01)' => "{$table}_one_at_a_time",
                '[2024-12-01,2025-06-01)' => "{$table}_past",
            ] as $span => $rule
        ) {
            self::assertRefused($rule, fn () => self::insert($table, $span));
        }
        // Moved as well as written; what touches doesn't overlap.
        self::assertRefused(
            "{$table}_one_at_a_time",
            fn () => DB::table($table)
                ->whereRaw('upper_inf(span)')
                ->update(['span' => '[2024-12-31,)']),
        );
        DB::table($table)
            ->whereRaw('upper_inf(span)')
            ->update(['span' => '[2025-01-01,)']);
        self::assertRefused(
            "{$table}_one_at_a_time",
            fn () => DB::table($table)
                ->whereRaw('NOT upper_inf(span)')
                ->update(['span' => '[2024-01-01,2025-01-02)']),
        );
        self::assertSame(2, DB::table($table)->distinct()->count('span'));
        // Others' are no matter.
        $house->name('knell.com', facts: ['registrant' => 'Somebody Else', 'mailbox' => 'post@knells.example']);
        self::assertSame(2, DB::table($table)->whereRaw('upper_inf(span)')->distinct()->count($whose));
    }

    public function test_a_name_has_as_many_other_contacts_as_it_likes_but_each_once(): void
    {
        (new House())->name('bell.com', facts: ['registrant' => 'The Foundry', 'mailbox' => 'post@bells.example']);
        self::insert('roles', self::SPANS['now'], ['role' => 'technical']);
        self::insert('roles', self::SPANS['now'], ['role' => 'billing']);
        self::assertRefused('roles_once', fn () => self::insert('roles', '[2026-06-01,)', ['role' => 'billing']));
        self::assertSame(3, DB::table('roles')->count());
    }

    private static function assertTaken(string $table, string $span): void
    {
        self::insert($table, $span);
        self::assertSame(2, DB::table($table)->count());
    }

    /** @param  callable(): mixed  $write */
    private static function assertRefused(string $rule, callable $write): void
    {
        try {
            DB::transaction(fn () => $write());
        } catch (QueryException $e) {
            self::assertStringContainsString($rule, $e->getMessage());

            return;
        }
        self::fail("It was taken, against {$rule}.");
    }

    /**
     * Another of the first there is.
     *
     * @param  array<string, string>  $with
     */
    private static function insert(string $table, string $span, array $with = []): void
    {
        $row = (array) DB::table($table)->orderBy('id')->first();
        unset($row['id'], $row['called']);
        DB::table($table)->insert([
            ...$row,
            'span' => $span,
            ...$table === 'contact_versions' ? ['number' => DB::table($table)->count() + 1] : [],
            ...$with,
        ]);
    }
}
