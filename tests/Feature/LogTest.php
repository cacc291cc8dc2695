<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Proofs\LogDays;
use App\Support\HouseLog;
use App\Support\Row;
use App\View\LogInWords;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What the log keeps, as a person reads it. */
final class LogTest extends TestCase
{
    /**
     * @param  array<string, scalar|null|list<mixed>>  $data
     * @param  list<string>  $wanted
     */
    #[TestWith([['docket' => 3, 'deed' => 'hand_over'], ['Hand over', 'docket 3']])]
    #[TestWith([
        ['finding' => 'servers_changed', 'with' => '{"held":"ns1.a.example","seen":"ns2.b.example"}'],
        ['Name servers changed, not by us', 'held: ns1.a.example, seen: ns2.b.example'],
    ])]
    #[TestWith([['finding' => 'transfer_not_ours', 'with' => '[]'], ['Transfer not started by us']])]
    #[TestWith([
        [
            'fields' => ['intent', 'ends'],
            'before' => '{"intent":"when_told","ends":null}',
            'after' => '{"intent":"lapse","ends":"2027-11-02T00:00:00Z"}',
        ],
        ['intent: renew on request → let lapse', 'ends: nothing → 2 Nov 2027'],
    ])]
    #[TestWith([['because' => '2026-13-45'], ['because: 2026-13-45']])]
    #[TestWith([['role' => 'steward', 'may_sign_in' => true], ['role: Steward: can spend money and move names', 'can sign in: yes']])]
    #[TestWith([['why' => '{not JSON', 'lines' => 4], ['lines 4', 'why: {not JSON']])]
    #[TestWith([[], []])]
    public function test_what_was_kept_reads_as_words(array $data, array $wanted): void
    {
        app(HouseLog::class)->write('something', 'name', null, $data);
        $said = array_column(app(LogInWords::class)->more(Row::of(DB::table('log')->where('event', 'something')->sole())), 0);
        sort($said);
        sort($wanted);
        self::assertSame($wanted, $said);
    }

    public function test_what_was_found_comes_first_and_numbers_lead_somewhere(): void
    {
        $house = new House();
        app(HouseLog::class)->write('drift_seen', 'name', $house->name('bell.com')->id, [
            'with' => '{"seen":"off"}',
            'client' => $house->foundry->id,
            'finding' => 'lock_not_written',
        ]);
        app(HouseLog::class)->write('letter_answered', 'mailbox', 8);
        $page = $this->actingAs($house->owner)->get('/log')->assertOk();
        $page->assertSeeInOrder([
            'A letter to it was answered by e-mail',
            'mailbox 8',
            'Difference from the registry found',
            'bell.com',
            'Lock not on record',
            'seen: off',
        ]);
        $page->assertSee('href="'.route('clients.show', $house->foundry).'">client '.$house->foundry->id, false);
        $this->get('/log?event=something')->assertSee('No entries match');
    }

    public function test_months_are_opened_ahead_and_take_what_was_written_meanwhile(): void
    {
        $owner = DB::connection('owner');
        $owner->beginTransaction();
        $days = new LogDays($owner);
        $days->openMonths();
        self::assertSame(0, $days->openMonths(), 'Nothing is made twice.');

        $owner->insert(
            "INSERT INTO log (at, trade_at, event, subject)
             VALUES (date_trunc('month', now()) + interval '14 months 3 days', now(), 'early', 'name')",
        );
        $where = fn (): mixed => $owner->scalar("SELECT tableoid::regclass::text FROM log WHERE event = 'early'");
        self::assertSame('log_other', $where());
        $owner->select("SELECT log_months((date_trunc('month', now()) + interval '14 months')::date)");
        $part = $owner->scalar("SELECT to_char(date_trunc('month', now()) + interval '14 months', '\"log_\"YYYY_MM')");
        self::assertSame($part, $where());
        self::assertFalse($owner->scalar("SELECT has_table_privilege('acre_app', ?, 'SELECT, INSERT, UPDATE, DELETE')", [$part]));
        $owner->rollBack();
    }
}
