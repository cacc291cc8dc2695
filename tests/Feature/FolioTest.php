<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Contacts\RecordRegistrants;
use App\Models\Contact;
use App\Models\Price;
use App\Models\Registration;
use App\Support\Row;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class FolioTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    public function test_its_lock_and_its_renewal_are_a_press_away_for_whoever_may(): void
    {
        $this->house->name('kept.com', facts: ['lock' => 'on']);
        $this->house->name('kept.co.uk');
        $this->actingAs($this->house->clerk)
            ->get('/names/kept.com')
            ->assertSee('/deeds/change_lock?name=kept.com&amp;lock=off', false)
            ->assertSee('/deeds/change_auto_renew?name=kept.com', false);
        $this->get('/names/kept.co.uk')->assertSee('none under .co.uk')->assertDontSee('change_lock?name=', false);
        $this->actingAs($this->house->reader)->get('/names/kept.com')->assertDontSee('?name=kept.com', false);
    }

    public function test_it_begins_with_a_sentence_and_is_found_in_either_form(): void
    {
        $this->house->name(
            'glockenwärts.com',
            facts: ['moved_on' => Instant::of('2026-08-20'), 'ends_on' => Instant::of('2028-04-27'), 'intent' => 'by_itself'],
        );
        foreach (['glockenwärts.com', 'xn--glockenwrts-s8a.com', 'GLOCKENWÄRTS.com'] as $written) {
            $this->actingAs($this->house->reader)
                ->get('/names/'.rawurlencode($written))
                ->assertOk()
                ->assertSeeInOrder([
                    'glockenwärts.com',
                    'Held for',
                    'Wickerby Bell Foundry',
                    'Can’t be transferred before 19 Oct',
                    'Auto-renews on 20 Apr 2028 for £9.90',
                    'What you can do today',
                ]);
        }
        $this->get('/names/nobody-holds-this.com')->assertNotFound();
        $this->get('/names/no%20name')->assertNotFound();
    }

    /** The same sum and the same days as in Rounds. */
    public function test_what_a_late_name_costs_today_and_what_happens_next(): void
    {
        Price::query()->create([
            'registrar_id' => $this->house->skerry->id,
            'suffix' => 'com',
            'action' => 'late',
            'amount' => '75.40',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);
        Price::query()->create([
            'registrar_id' => $this->house->skerry->id,
            'suffix' => 'com',
            'action' => 'restore',
            'amount' => '120',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-05')]);
        $this->actingAs($this->house->reader)
            ->get('/names/late.com')
            ->assertSeeInOrder([
                'it can be renewed until 20 Oct',
                'the last day to keep it is 19 Nov',
                '£85.30 now, then £9.90 a year',
                'What happens next',
                'if nothing is done',
                '20 Oct 2026',
                'Deleted; restoring it costs £120.00',
                '19 Nov 2026',
                'Last day to keep it',
                '24 Nov 2026',
                'Anyone can register it',
            ]);
        $this->get('/rounds')->assertSeeInOrder(['late.com', 'renews until 20 Oct', '£85.30 to renew, then it is deleted']);
    }

    public function test_what_auto_renews_is_not_told_its_loss(): void
    {
        $this->house->name(
            'bell.com',
            facts: ['created_on' => Instant::of('2020-11-20'), 'ends_on' => Instant::of('2026-11-20'), 'intent' => 'by_itself'],
        );
        $this->actingAs($this->house->reader)
            ->get('/names/bell.com')
            ->assertDontSee('if nothing is done')
            ->assertSeeInOrder([
                'What happens next',
                '13 Nov 2026',
                'Auto-renews for £9.90',
                '20 Nov 2026',
                'Runs on until 20 Nov 2027',
                'If auto-renew fails',
                'The paid term ends',
                'Anyone can register it',
            ]);
    }

    public function test_the_day_by_which_its_registrant_must_be_verified_is_among_what_comes(): void
    {
        $this->house->name(
            'bell.com',
            facts: ['created_on' => Instant::of('2026-10-01'), 'mailbox' => 'ledger@bells.example', 'registrant' => 'Bell Foundry'],
        );
        $this->actingAs($this->house->reader)
            ->get('/names/bell.com')
            ->assertSeeInOrder([
                'What happens next',
                '16 Oct 2026',
                'The registrant must have verified their mailbox',
                'missed: it stops working',
            ]);
    }

    /** On the day of a handover a name has two holders, and on that of a change two registrants. */
    public function test_on_the_day_of_a_change_both_are_told(): void
    {
        $name = $this->house->name(
            'bell.com',
            facts: ['registrant' => 'Bell Foundry', 'mailbox' => 'ledger@bells.example'],
            since: '2025-03-03',
        );
        DB::update("UPDATE holdings SET span = '[2025-03-03,2026-10-06 09:00+00)' WHERE name_id = ?", [$name->id]);
        DB::insert(
            "INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) SELECT name_id, registration_id, ?, client_id,
                '[2026-10-06 09:00+00,)' FROM holdings WHERE name_id = ?",
            [$this->house->theirs->id, $name->id],
        );
        app(RecordRegistrants::class)->of([$name->id => ['registrant' => 'Peal Trust', 'mailbox' => 'desk@peal.example']], 'typed', null);
        DB::update("UPDATE contact_versions SET span = '[2020-01-01,)'");
        DB::insert(
            "INSERT INTO roles (name_id, registration_id, contact_id, role, span) SELECT r.name_id, r.id, v.contact_id, 'registrant',
                '[2020-01-01,2026-10-06 09:00+00)' FROM contact_versions v, registrations r
                WHERE v.called = 'Bell Foundry' AND r.name_id = ?",
            [$name->id],
        );
        $this->actingAs($this->house->reader)
            ->get('/names/bell.com?on=2026-10-06')
            ->assertSeeInOrder([
                'On 6 Oct 2026',
                'Skerry Registrations 40718',
                'then Skerry Registrations 51877',
                'Registrant:',
                'Bell Foundry',
                'Peal Trust',
            ]);
        $this->get('/names/bell.com?on=2026-10-05')->assertDontSee('then Skerry');
        $this->get('/names/bell.com?on=2026-10-07')->assertSee('Skerry Registrations 51877')->assertDontSee('then Skerry');
    }

    public function test_who_held_it_on_a_day(): void
    {
        $this->house->name('bell.com', since: '2025-03-03');
        $this->actingAs($this->house->reader)
            ->get('/names/bell.com?on=2025-03-03')
            ->assertSee('On 3 Mar 2025')
            ->assertSee('Skerry Registrations 40718, for Wickerby Bell Foundry');
        $this->get('/names/bell.com?on=2025-03-02')->assertSee('not known');
        $this->get('/names/bell.com?on=soon')->assertOk();
    }

    public function test_what_is_typed_is_kept_with_its_source_and_makes_the_standing_again(): void
    {
        $name = $this->house->name('bell.com');
        $form = ['created_on' => '2020-11-02', 'ends_on' => '2026-10-10', 'intent' => 'lapse', 'lock' => 'off', 'version' => 1];
        $this->actingAs($this->house->clerk)->put('/names/bell.com', $form)->assertRedirect('/names/bell.com');
        $registration = Registration::query()->sole();
        self::assertSame([Intent::Lapse, '2026-10-10', 2], [$registration->intent, $registration->ends_on?->iso(), $registration->version]);
        self::assertEquals(['from' => 'typed', 'at' => '2026-10-06', 'by' => $this->house->clerk->id], $registration->sources['ends_on']);
        $standing = Row::of(DB::table('standings')->sole());
        self::assertSame(['lapses', '2026-10-10'], [$standing->text('next_kind'), $standing->instant('next_at')?->date()]);
        $this->assertDatabaseHas('log', [
            'event' => 'facts_changed',
            'subject' => 'name',
            'subject_id' => $name->id,
            'user_id' => $this->house->clerk->id,
        ]);
    }

    public function test_who_changed_what_when_and_why_stands_on_one_page(): void
    {
        $name = $this->house->name('bell.com', facts: ['registrant' => 'Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        DB::table('registrations')->update([
            'sources' => '{"ends":{"from":"directory","at":"2026-10-01"},"servers":{"from":"typed","at":"2026-10-01"}}',
        ]);
        $form = [
            'created_on' => '2020-11-02',
            'ends_on' => '2027-11-02',
            'intent' => 'when_told',
            'lock' => 'off',
            'registrant' => 'Bell Foundry',
            'mailbox' => 'ledger@bells.example',
            'version' => 1,
        ];
        $this->actingAs($this->house->clerk)
            ->from('/names/bell.com/edit')
            ->put('/names/bell.com', ['ends_on' => '2028-11-02'] + $form)
            ->assertSessionHasErrors(['because' => 'Say why: the end came from the registry.'])
            ->assertSessionHasInput('ends_on', '2028-11-02');
        self::assertSame('2027-11-02', Registration::query()->sole()->ends_on?->date());
        $this->put('/names/bell.com', ['servers' => 'ns1.a.example'] + $form)->assertSessionHasNoErrors();
        $this->put(
            '/names/bell.com',
            ['ends_on' => '2028-11-02', 'servers' => 'ns1.a.example', 'because' => 'Skerry renewed it by telephone', 'version' => 2] +
                $form,
        )->assertSessionHasNoErrors();
        $this->put(
            '/names/bell.com',
            [
                'ends_on' => '2028-11-02',
                'servers' => 'ns1.a.example',
                'registrant' => 'Peal Trust',
                'mailbox' => 'ledger@bells.example',
                'version' => 3,
            ] + $form,
        )->assertSessionHasNoErrors();
        $this->get('/names/bell.com')->assertSee('href="'.route('names.history', 'bell.com').'"', false);
        $this->actingAs($this->house->reader)
            ->get('/names/bell.com/history')
            ->assertOk()
            ->assertSeeInOrder([
                'Registrants',
                'Peal Trust',
                'Clerk Tern',
                'registrant changed',
                'ends on: 2 Nov 2027 → 2 Nov 2028',
                'Skerry renewed it by telephone',
                'Clerk Tern',
                'servers: nothing → ns1.a.example',
            ])
            ->assertDontSee('Consents');
        $last = DB::table('log')->where('subject_id', $name->id)->where('subject', 'name')->max('id');
        $this->get('/names/bell.com/history?before='.(is_int($last) ? $last : 0))
            ->assertOk()
            ->assertDontSee('Registrants');
        foreach (['?before[]=1', '?before=99999999999999999999', '?before=-1'] as $odd) {
            $this->get('/names/bell.com/history'.$odd)->assertOk();
        }
    }

    public function test_the_second_to_save_sees_it_and_loses_nothing_typed(): void
    {
        $this->house->name('bell.com');
        $form = ['created_on' => '2020-11-02', 'ends_on' => '2027-11-02', 'intent' => 'lapse', 'lock' => 'off', 'version' => 1];
        $this->actingAs($this->house->clerk)->put('/names/bell.com', $form)->assertSessionHasNoErrors();
        $this->from('/names/bell.com/edit')
            ->put('/names/bell.com', ['registrant' => 'The Foundry'] + $form)
            ->assertRedirect('/names/bell.com/edit')
            ->assertSessionHasErrors('version')
            ->assertSessionHasInput('registrant', 'The Foundry');
        self::assertSame(0, Contact::query()->count());
    }

    #[TestWith(['mailbox', 'ledger at bells'])]
    #[TestWith(['servers', 'ns1.a.example not_a_host'])]
    #[TestWith(['own_renewal', 'about nine'])]
    #[TestWith(['moved_on', '2019-01-01'])]
    #[TestWith(['intent', 'perhaps'])]
    public function test_what_can_not_be_read_is_refused_with_words_and_loses_nothing(string $field, string $typed): void
    {
        $this->house->name('bell.com');
        $form = [
            'created_on' => '2020-11-02',
            'ends_on' => '2027-11-02',
            'intent' => 'lapse',
            'lock' => 'off',
            'version' => 1,
            'registrant' => 'The Foundry',
        ];
        $this->actingAs($this->house->clerk)
            ->from('/names/bell.com/edit')
            ->put('/names/bell.com', [$field => $typed] + $form)
            ->assertRedirect('/names/bell.com/edit')
            ->assertSessionHasErrors($field)
            ->assertSessionHasInput($field, $typed)
            ->assertSessionHasInput('registrant', 'The Foundry');
        self::assertSame(1, Registration::query()->sole()->version);
    }

    public function test_servers_and_prices_are_typed_as_people_write_them(): void
    {
        $this->house->name('bell.com');
        $form = ['created_on' => '2020-11-02', 'ends_on' => '2027-11-02', 'intent' => 'lapse', 'lock' => 'off', 'version' => 1];
        $this->actingAs($this->house->clerk)
            ->put(
                '/names/bell.com',
                ['servers' => "NS2.A.example.\nns1.a.example", 'own_renewal' => '€ 12,50', 'mailbox' => 'Ledger <ledger@bells.example>'] +
                    $form,
            )
            ->assertSessionHasErrors('mailbox');
        $this->put(
            '/names/bell.com',
            ['servers' => "NS2.A.example.\nns1.a.example", 'own_renewal' => '€ 12,50'] + $form,
        )->assertSessionHasNoErrors();
        $registration = Registration::query()->sole();
        self::assertEqualsCanonicalizing(['ns1.a.example', 'ns2.a.example'], $registration->servers);
        self::assertSame(['12.50', 'EUR'], [$registration->own_renewal, $registration->own_currency]);
    }

    public function test_dates_that_cannot_be_are_refused_with_words(): void
    {
        $this->house->name('bell.com');
        $form = ['created_on' => '2020-11-02', 'ends_on' => '2019-11-02', 'intent' => 'lapse', 'lock' => 'off', 'version' => 1];
        $this->actingAs($this->house->clerk)->put('/names/bell.com', $form)->assertSessionHasErrors('ends_on');
        $this->put('/names/bell.com', ['ends_on' => '2027-02-30'] + $form)->assertSessionHasErrors('ends_on');
    }

    /** A late .uk name is switched off until it is renewed (common practice): nobody has to be asked why. */
    public function test_what_is_to_be_done_stands_under_the_sentence(): void
    {
        $this->house->name('late.co.uk', facts: ['ends_on' => Instant::of('2026-09-01'), 'statuses' => ['serverHold']]);
        $this->house->name('held.com', facts: ['statuses' => ['serverHold']]);
        $this->actingAs($this->house->clerk)
            ->get('/names/late.co.uk')
            ->assertSeeInOrder(['What to do:', '/deeds/renew?name=late.co.uk', 'Renew it'], false)
            ->assertDontSee('why it is on hold');
        $this->get('/names/held.com')->assertSee('Ask Skerry Registrations why it is on hold');
        $this->actingAs($this->house->reader)->get('/names/late.co.uk')->assertDontSee('What to do:');
    }
}
