<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Contacts\EraseContact;
use App\Actions\Proofs\LogDays;
use App\Actions\Proofs\StoreHead;
use App\Actions\Proofs\VerifyRecords;
use App\Models\Contact;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

/** That proofs, and rows of the log, are gone or are not what they were is seen, whoever did it. */
final class RecordsTest extends TestCase
{
    private const TODAY = '2026-11-30T12:00:00Z';

    private Connection $owner;

    protected function setUp(): void
    {
        parent::setUp();
        // Whoever has the database's own password: nothing that the runtime role may not do keeps them from anything.
        $this->owner = DB::connection('owner');
        $this->owner->beginTransaction();
    }

    protected function tearDown(): void
    {
        $this->owner->rollBack();
        parent::tearDown();
    }

    private function row(string $at, string $event): void
    {
        $this->owner->insert('INSERT INTO log (at, trade_at, event, subject) VALUES (?, ?, ?, ?)', [$at, $at, $event, 'test']);
    }

    /** Three days, the second without a row. */
    private function days(): LogDays
    {
        foreach (
            ['2026-11-27 08:00:00.123456+00', '2026-11-27 '
                .'23:59:59.999999+00', '2026-11-29 00:00:00+00', '2026-11-29 12:30:00+00'] as $number => $at
        ) {
            $this->row($at, "row_{$number}");
        }
        $days = new LogDays($this->owner);
        self::assertSame(3, $days->close(Instant::of(self::TODAY)));
        self::assertSame(0, $days->close(Instant::of(self::TODAY)));
        self::assertSame([2, 0, 2], $this->owner->table('days_of_log')->orderBy('day')->pluck('rows')->all());
        self::assertSame([], iterator_to_array($days->faults(), false));

        return $days;
    }

    /** @return int whose data were erased */
    private function erased(House $house): int
    {
        $contact = Contact::query()->create();
        app(EraseContact::class)->handle($house->steward, $contact, Instant::of('2026-10-01'), 'by letter');

        return $contact->id;
    }

    /** @param  list<string>  $faults */
    #[TestWith(["DELETE FROM log WHERE event = 'row_1'", ['the log had 2 rows on 2026-11-27, now it has 1']], 'a row is gone')]
    #[TestWith(
        ["UPDATE log SET event = 'another' WHERE event = 'row_2'", ['a row of the log of 2026-11-29 was changed']],
        'a row was changed',
    )]
    #[TestWith(
        ["UPDATE log SET trade_at = trade_at - interval '1 day' WHERE event = 'row_2'", ['a row of the log of 2026-11-29 was changed']],
        'another day of the house',
    )]
    #[TestWith(
        [
            "UPDATE log SET at = '2026-11-28 10:00:00+00' WHERE event = 'row_2'",
            ['the log had 0 rows on 2026-11-28, now it has 1', 'the log had 2 rows on 2026-11-29, now it has 1'],
        ],
        'a row was dated back',
    )]
    #[TestWith(
        [
            "INSERT INTO log (at, trade_at, event, subject) VALUES ('2026-11-28 10:00:00+00', now(), 'late', 'test')",
            ['the log had 0 rows on 2026-11-28, now it has 1'],
        ],
        'a row was added',
    )]
    #[TestWith(
        [
            "INSERT INTO log (at, trade_at, event, subject) VALUES ('2026-11-20 10:00:00+00', now(), 'late', 'test')",
            ['the log begins on 2026-11-27, but 1 rows are dated before it'],
        ],
        'before all days',
    )]
    #[TestWith(
        [
            "DELETE FROM days_of_log WHERE day = '2026-11-28'",
            ['the day 2026-11-28 of the log is missing', 'the log’s day 2026-11-29 does not carry the digest of the day before it'],
        ],
        'a day is gone',
    )]
    #[TestWith(
        [
            "UPDATE days_of_log SET rows = 3 WHERE day = '2026-11-29'",
            ['the log had 3 rows on 2026-11-29, now it has 2', 'the digest of the log’s day 2026-11-29 is not that of what it says'],
        ],
        'a day was changed',
    )]
    public function test_what_was_done_to_a_closed_day_is_seen(string $done, array $faults): void
    {
        $days = $this->days();
        $this->owner->statement($done);
        self::assertSame($faults, iterator_to_array($days->faults(), false));
    }

    public function test_a_day_is_closed_an_hour_after_it_is_over(): void
    {
        $this->row('2026-11-29 12:30:00+00', 'one');
        $days = new LogDays($this->owner);
        self::assertSame(0, $days->close(Instant::of('2026-11-30T00:59:59Z')));
        self::assertSame(1, $days->close(Instant::of('2026-11-30T01:00:00Z')));
    }

    public function test_the_times_of_the_log_are_the_databases(): void
    {
        $this->expectException(QueryException::class);
        $this->expectExceptionMessage('permission denied');
        DB::insert("INSERT INTO log (at, trade_at, event, subject) VALUES ('2020-01-01', now(), 'tried', 'test')");
    }

    public function test_closed_days_are_not_the_runtime_roles_to_change(): void
    {
        $this->expectExceptionMessage('permission denied');
        DB::table('days_of_log')->delete();
    }

    /**
     * @param  list<string>  $with
     * @param  list<string>  $faults
     */
    #[TestWith(['DELETE FROM log WHERE event = ?', ['row_3'], []], 'a row of a closed day, which the day itself knows')]
    #[TestWith(
        ["DELETE FROM days_of_log WHERE day = '2026-11-29'", [], ['the log was closed to 2026-11-29 on *, and that day is gone']],
        'the last day',
    )]
    #[TestWith(
        [
            "UPDATE days_of_log SET sha256 = rows_sha256 WHERE day = '2026-11-29'",
            [],
            ['the log’s day 2026-11-29 is not what it was on *'],
        ],
        'the last day was made anew',
    )]
    #[TestWith(
        ['DELETE FROM log WHERE event = ?', ['today'], ['the log had 1 rows to row * on *, now it has 0 of them']],
        'a row of today',
    )]
    #[TestWith(['DELETE FROM proofs', [], ['1 proofs were counted on *, and the last of them is gone']], 'all proofs')]
    #[TestWith(["UPDATE proofs SET sha256 = repeat('e', 64)", [], ['proof 1 is not the one that was counted on *']], 'a proof')]
    public function test_the_head_knows_what_is_gone(string $done, array $with, array $faults): void
    {
        $this->days();
        $this->row('2026-11-30 09:00:00+00', 'today');
        $contact = $this->owner->table('contacts')->insertGetId(['kind' => 'person']);
        $this->owner->insert(
            "INSERT INTO erasures (contact_id, asked_on, erased_on, words, counts, digest)
                VALUES (?, now(), now(), 'by letter', '{}', repeat('d', 64))",
            [$contact],
        );
        $this->owner->insert(
            "INSERT INTO proofs (position, erasure_id, text, sha256, made_on) VALUES (1, ?, 'a text', repeat('f', 64), now())",
            [$contact],
        );
        $head = new StoreHead($this->owner);
        $head->keep();
        $kept = (string) $head->kept();
        self::assertSame([], $head->faults($kept));
        $this->owner->statement($done, $with);
        self::assertSame(
            $faults,
            array_map(
                fn (string $fault): string => (string) preg_replace(
                    ['/on \d{4}-\d\d-\d\dT[\d:]+Z/', '/row \d+/'],
                    ['on *', 'row *'],
                    $fault,
                ),
                $head->faults($kept),
            ),
        );
        $head->keep();
        self::assertSame($kept, $head->kept(), 'what no longer holds is never kept over');
    }

    public function test_it_is_kept_with_each_proof_and_a_file_that_is_gone_is_seen(): void
    {
        $house = new House();
        $head = app(StoreHead::class);
        self::assertNull($head->kept());
        self::assertSame([], $head->faults(null));
        $this->erased($house);
        self::assertNotNull($head->kept());
        self::assertSame(1, $head->read($head->kept())->proofs);
        self::assertSame([], iterator_to_array(app(VerifyRecords::class)->handle($head->kept()), false));
        File::delete(config()->string('house.heads').'/'.DB::connection()->getDatabaseName().'.txt');
        self::assertSame(['the head of the records was kept, and its file is gone'], $head->faults(null));
        $head->keep();
        self::assertNull($head->kept(), 'a new one would hide what is gone');
        $head->beginAgain();
        self::assertSame([], $head->faults($head->kept()));
    }

    public function test_who_is_stuck_with_the_head_keeps_nobody_waiting(): void
    {
        $folder = config()->string('house.heads');
        File::ensureDirectoryExists($folder);
        $stuck = fopen("{$folder}/".DB::connection()->getDatabaseName().'.txt.lock', 'c');
        self::assertIsResource($stuck);
        flock($stuck, LOCK_EX);
        $this->erased(new House());
        self::assertNull(app(StoreHead::class)->kept());
        try {
            app(StoreHead::class)->beginAgain();
            self::fail('Whoever begins another must know that none was.');
        } catch (RuntimeException $said) {
            self::assertStringContainsString('Try again', $said->getMessage());
        }
        fclose($stuck);
        app(StoreHead::class)->keep();
        self::assertStringContainsString('proofs: 1', (string) app(StoreHead::class)->kept());
    }

    public function test_what_ended_without_a_proof_is_named(): void
    {
        $house = new House();
        $contact = $this->erased($house);
        DB::table('erasures')->insert([
            'contact_id' => Contact::query()->create()->id,
            'asked_on' => now(),
            'erased_on' => now(),
            'words' => 'by letter',
            'counts' => '{}',
            'digest' => str_repeat('d', 64),
        ]);
        $faults = iterator_to_array(app(VerifyRecords::class)->handle(null), false);
        self::assertCount(2, $faults, 'one without a proof, and the file that is not held against');
        self::assertStringEndsWith('is closed, and there is no proof of it', $faults[0]);
        self::assertStringNotContainsString("erasure {$contact} ", $faults[0]);
        self::assertSame(1, Artisan::call('acre:verify'));
        self::assertStringContainsString('no proof of it', Artisan::output());
    }

    public function test_an_owner_takes_a_receipt_away_and_others_do_not(): void
    {
        $house = new House();
        app(HouseLog::class)->write('signed_in', 'person', $house->owner->id);
        app(StoreHead::class)->keep();
        $kept = (string) app(StoreHead::class)->kept();
        $sha256 = hash('sha256', $kept);
        $this->actingAs($house->owner)
            ->get('/log')
            ->assertOk()
            ->assertSee('0 proofs. No day is closed yet. One entry since.')
            ->assertSee(route('log.receipt', $sha256));
        $this->get("/log/receipt/{$sha256}.txt")
            ->assertOk()
            ->assertContent($kept)
            ->assertHeader('Content-Disposition', "attachment; filename=\"acre-receipt-{$sha256}.txt\"");
        $request = (string) $this->get("/log/receipt/{$sha256}.tsq")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/timestamp-query')
            ->getContent();
        self::assertStringContainsString((string) hex2bin($sha256), $request);
        $this->get('/log/receipt/'.str_repeat('0', 64).'.txt')
            ->assertRedirect('/log')
            ->assertSessionHas('told');
        $this->actingAs($house->steward)
            ->get("/log/receipt/{$sha256}.txt")
            ->assertForbidden();
        file_put_contents(
            config()->string('house.heads').'/'.DB::connection()->getDatabaseName().'.txt',
            str_replace('1 to row', '0 to row', $kept),
        );
        $this->actingAs($house->owner)
            ->get('/log')
            ->assertSee('The records have been altered')
            ->assertSee('it was changed, or another house signed it', false);
    }
}
