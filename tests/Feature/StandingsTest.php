<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Standings\MakeStandings;
use App\Jobs\MakeStandingsSoon;
use App\Models\Extra;
use App\Models\Price;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\StandingFacts;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** The flat rows that the Roll reads, and the case files that they are made from. */
final class StandingsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['plain_after_days' => 22, 'late_until_days' => 30, 'extras' => ['mail' => 'stays']]);
    }

    private static function standing(int $nameId): Row
    {
        return Row::of(DB::table('standings')->where('name_id', $nameId)->sole());
    }

    private static function age(int $nameId): Row
    {
        return Row::of(DB::table('standing_ages')->where('name_id', $nameId)->sole());
    }

    public function test_a_case_file_holds_what_the_core_asks(): void
    {
        $name = $this->house->name(
            'bell.com',
            facts: [
                'statuses' => ['clientHold', 'nonsense'],
                'lock' => 'on',
                'registrant' => 'The Foundry',
                'reference' => 'R-1',
                'moved_on' => Instant::of('2026-08-20'),
            ],
        );
        $registration = $name->load('registration')->registration;
        self::assertNotNull($registration);
        Extra::query()->create(['registration_id' => $registration->id, 'kind' => 'mail']);
        Extra::query()->create(['registration_id' => $registration->id, 'kind' => 'privacy', 'ended_on' => Instant::of('2026-01-01')]);
        $file = app(CaseFiles::class)->held([$name->id], Instant::of('2026-10-06T09:00:00Z'))[$name->id];
        self::assertSame(['clientHold'], array_map(fn ($status) => $status->value, $file->facts->statuses));
        self::assertTrue($file->facts->isLocked());
        self::assertSame('2026-08-20', $file->facts->moved?->iso());
        self::assertSame(['mail'], array_map(fn ($extra) => $extra->value, $file->extras));
        self::assertSame('stays', $file->handover->extras['mail']->value);
        self::assertSame(
            ['The Foundry', 'R-1', 'Wickerby Bell Foundry', '40718'],
            [$file->registrant, $file->reference, $file->clientName, $file->account->number],
        );
        self::assertTrue(Money::of('9.90', 'GBP')->equals($file->late->renew ?? Money::of('0', 'GBP')));
        self::assertSame(
            [7, null, 22, 30],
            [$file->late->chargeLead, $file->late->darkAfter, $file->late->plainAfter, $file->late->lateUntil],
        );
    }

    public function test_case_files_keep_the_order_asked_for_and_leave_out_what_nobody_holds(): void
    {
        [$one, $two, $gone] = [$this->house->name('one.com'), $this->house->name('two.com'), $this->house->name('gone.com')];
        DB::table('holdings')
            ->where('name_id', $gone->id)
            ->update(['span' => '[2024-06-02,2025-01-01)']);
        self::assertSame(
            [$two->id, $one->id],
            array_keys(app(CaseFiles::class)->held([$two->id, $gone->id, $one->id], Instant::of('2026-10-06'))),
        );
        self::assertSame([], app(CaseFiles::class)->held([], Instant::of('2026-10-06')));
    }

    public function test_the_price_in_force_at_the_time_is_taken(): void
    {
        $name = $this->house->name('bell.com');
        Price::query()
            ->where('suffix', 'com')
            ->update(['span' => '[2020-01-01,2027-01-01)']);
        Price::query()->create([
            'registrar_id' => $this->house->skerry->id,
            'suffix' => 'com',
            'action' => 'renew',
            'amount' => '12.00',
            'currency' => 'GBP',
            'tax_percent' => '20',
            'span' => Span::since(Instant::of('2027-01-01')),
        ]);
        $sum = fn (string $at): ?string => app(CaseFiles::class)
            ->of([$name->id], Instant::of($at))[$name->id]->late->renew?->text();
        self::assertSame('£9.90', $sum('2026-12-31T23:59:59Z'));
        self::assertSame('£14.40', $sum('2027-01-01T00:00:00Z'));
        self::assertNull($sum('2019-01-01'));
    }

    public function test_what_a_standing_keeps_draws_the_same_life(): void
    {
        $name = $this->house->name(
            'bell.com',
            facts: [
                'intent' => 'by_itself',
                'moved_on' => Instant::of('2026-08-20'),
                'statuses' => ['clientHold'],
                'ends_on' => Instant::of('2026-10-19'),
            ],
        );
        $now = Instant::of('2026-10-06T09:00:00Z');
        $book = app(Rulebook::class);
        $made = app(CaseFiles::class)
            ->of([$name->id], $now)[$name->id]->life($book, $now);
        $read = StandingFacts::unpack(self::standing($name->id), $book, $now)->life;
        self::assertEquals($made, $read);
    }

    public function test_what_is_due_is_made_and_nothing_else(): void
    {
        $due = $this->house->name('due.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $later = $this->house->name('later.com', facts: ['ends_on' => Instant::of('2027-10-12')]);
        self::assertSame(0, app(MakeStandings::class)->due());
        app(TradeClock::class)->set(Instant::of('2026-10-12T00:00:01Z'));
        $told = [];
        self::assertSame(
            1,
            app(MakeStandings::class)->due(function (int $count) use (&$told): void {
                $told[] = $count;
            }),
        );
        self::assertSame([1], $told);
        self::assertSame('late_plain', self::standing($due->id)->text('next_kind'));
        self::assertSame('2026-10-06', self::age($later->id)->instant('stands_from')?->date());
        self::assertSame('2026-10-12', self::age($due->id)->instant('stands_from')?->date());
    }

    public function test_what_comes_out_as_it_stood_is_not_written(): void
    {
        $name = $this->house->name('bell.com');
        // Spoilt behind its back: whatever is not written stays spoilt.
        DB::table('standings')->update(['client_name' => 'spoilt']);
        app(MakeStandings::class)->of([$name->id]);
        self::assertSame('spoilt', self::standing($name->id)->text('client_name'));
        $this->house->foundry->update(['name' => 'The Bell Foundry']);
        app(MakeStandings::class)->of([$name->id]);
        self::assertSame('The Bell Foundry', self::standing($name->id)->text('client_name'));
    }

    public function test_another_rulebook_makes_them_due(): void
    {
        $name = $this->house->name('bell.com');
        self::assertSame(0, app(MakeStandings::class)->staleByRulebook());
        DB::table('standing_ages')->update(['rulebook' => 'another']);
        self::assertSame(1, app(MakeStandings::class)->staleByRulebook());
        self::assertSame(1, app(MakeStandings::class)->due());
        self::assertSame(app(Rulebook::class)->digest(), self::age($name->id)->text('rulebook'));
    }

    public function test_all_names_of_a_client_are_marked_by_whoever_makes_them(): void
    {
        $name = $this->house->name('bell.com');
        $this->house->foundry->update(['name' => 'The Bell Foundry']);
        app(MakeStandings::class)->stale('client_id', $this->house->foundry->id);
        self::assertSame([0, 1], [DB::table('standings_stale')->count(), DB::table('standings_stale_groups')->count()]);

        app(MakeStandings::class)->due();
        self::assertSame('The Bell Foundry', self::standing($name->id)->text('client_name'));
        self::assertSame([0, 0], [DB::table('standings_stale')->count(), DB::table('standings_stale_groups')->count()]);
    }

    public function test_of_few_names_the_next_page_is_true_of_many_a_worker_is_sent(): void
    {
        Queue::fake();
        $name = $this->house->name('bell.com');
        $this->house->foundry->update(['name' => 'The Bell Foundry']);
        app(MakeStandings::class)->soon('client_id', $this->house->foundry->id);
        self::assertSame('The Bell Foundry', self::standing($name->id)->text('client_name'));
        Queue::assertNotPushed(MakeStandingsSoon::class);

        DB::statement("INSERT INTO names (ascii, unicode, suffix)
            SELECT 'bell-' || n || '.com', 'bell-' || n || '.com', 'com' FROM generate_series(1, 1000) n");
        $copied = array_diff(DB::getSchemaBuilder()->getColumnListing('standings'), ['name_id', 'ascii', 'unicode', 'sought']);
        $columns = implode(', ', $copied);
        DB::statement("INSERT INTO standings (name_id, ascii, unicode, {$columns})
            SELECT n.id, n.ascii, n.unicode, {$columns} FROM (SELECT * FROM standings WHERE name_id = {$name->id}) s
            CROSS JOIN (SELECT id, ascii, unicode FROM names WHERE id <> {$name->id}) n");
        app(MakeStandings::class)->soon('client_id', $this->house->foundry->id);
        Queue::assertPushed(MakeStandingsSoon::class);
    }

    public function test_a_name_that_nobody_holds_any_more_leaves_the_roll(): void
    {
        $name = $this->house->name('bell.com');
        DB::table('holdings')->update(['span' => '[2024-06-02,2025-01-01)']);
        app(MakeStandings::class)->of([$name->id]);
        self::assertSame(0, DB::table('standings')->count());
    }

    public function test_what_is_typed_wrongly_into_the_database_is_refused_there_too(): void
    {
        $name = $this->house->name('bell.com');
        $registration = Row::of(DB::table('registrations')->sole())->int('id');
        foreach (
            [
                "UPDATE names SET ascii = 'BELL.com'" => 'names_ascii_check',
                'UPDATE registrations SET ends_on = created_on' => 'registrations_check',
                "UPDATE registrations SET lock = 'perhaps'" => 'registrations_lock_check',
                "UPDATE registrations SET span = 'empty'" => 'registrations_span_check',
                "UPDATE holdings SET span = 'empty'" => 'holdings_span_check',
                "INSERT INTO registrations (name_id, span) VALUES ({$name->id}, '[2021-01-01,)')" => 'registrations_today',
                "INSERT INTO extras (registration_id, kind) VALUES ({$registration}, 'lottery')" => 'extras_kind_check',
                'UPDATE prices SET amount = -1' => 'prices_amount_check',
                "INSERT INTO prices (registrar_id, suffix, action, amount, currency, span) SELECT registrar_id, suffix, action, 1, 'GBP',
                    '[2025-01-01,)' FROM prices" => 'prices_registrar_id_suffix_action_span_excl',
                "UPDATE accounts SET number = ' '" => 'accounts_number_check',
                "INSERT INTO clients (name) VALUES ('WICKERBY bell foundry')" => 'clients_name',
                'UPDATE clients SET is_house = true' => 'clients_one_house',
                "UPDATE users SET role = 'king'" => 'users_role',
                'UPDATE registrars SET plain_after_days = 40' => 'registrars_check',
            ] as $statement => $rule
        ) {
            try {
                DB::transaction(fn () => DB::statement($statement));
                self::fail("It was taken: {$statement}");
            } catch (QueryException $e) {
                self::assertStringContainsString($rule, $e->getMessage(), $statement);
            }
        }
    }
}
