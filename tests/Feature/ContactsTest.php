<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\HolderKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Actions\Contacts\FindRings;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Outside\CheckMailboxes;
use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Name;
use App\Models\NameRole;
use App\Models\Registrant;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Who stands behind names: contacts, roles, mailboxes, and what is at risk. */
#[Group('world')]
final class ContactsTest extends TestCase
{
    use Worldly;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    private function contactOf(Name $name): Contact
    {
        return Contact::query()->findOrFail(Registrant::query()->findOrFail($name->id)->contact_id);
    }

    private function at(string $instant): void
    {
        app(TradeClock::class)->set(Instant::of($instant));
    }

    /** @return list<string> */
    private function marks(Name $name): array
    {
        preg_match_all(
            '/finding:contact\.([a-z_]+)/',
            Row::of(DB::table('standings')->where('name_id', $name->id)->sole())->text('marks'),
            $found,
        );

        return $found[1];
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private static function form(array $but = []): array
    {
        return $but + [
            'kind' => 'organisation',
            'organisation' => 'Wickerby Bell Foundry',
            'person' => 'Gudrun Kettle',
            'mailbox' => 'ledger@bells.example',
            'voice' => '01632 960114',
            'street' => "PO Box 7\r\nFoundry Lane",
            'town' => 'Wickerby',
            'postcode' => 'WS1 4AB',
            'country' => 'GB',
            'version' => 1,
        ];
    }

    public function test_one_contact_stands_behind_every_name_that_says_the_same_and_a_client_knows_its_own(): void
    {
        $one = $this->house->name(
            'bell.com',
            facts: ['registrant' => 'The Wickerby Bell-Foundry Ltd', 'mailbox' => 'Ledger@bells.example'],
        );
        $two = $this->house->name(
            'peal.co.uk',
            facts: ['registrant' => 'The Wickerby Bell-Foundry Ltd', 'mailbox' => 'ledger@BELLS.example'],
        );
        $other = $this->house->name('knell.org', facts: ['registrant' => 'Somebody Else', 'mailbox' => 'ledger@bells.example']);
        self::assertSame($this->contactOf($one)->id, $this->contactOf($two)->id);
        self::assertSame([2, 1], [Contact::query()->count(), DB::table('mailboxes')->count()]);
        self::assertSame(
            [$this->house->foundry->id, HolderKind::Organisation],
            [$this->contactOf($one)->client_id, $this->contactOf($one)->kind],
        );
        self::assertNull($this->contactOf($other)->client_id);
        self::assertSame([['holder_unknown'], []], [$this->marks($other), $this->marks($one)]);
        $this->actingAs($this->house->reader)
            ->get('/contacts?risk=holder_unknown')
            ->assertSee('Somebody Else')
            ->assertDontSee('Bell-Foundry Ltd');
        $this->get('/roll?finding=contact.holder_unknown')->assertSee('knell.org')->assertDontSee('peal.co.uk');
        $this->get('/roll?contact='.$this->contactOf($one)->id)
            ->assertSee('bell.com')
            ->assertSee('peal.co.uk')
            ->assertDontSee('knell.org');
        $this->get('/contacts?q=somebody')->assertSee('Somebody Else')->assertDontSee('Bell-Foundry Ltd');
        $this->get('/names/knell.org')->assertSee('Its registrant, Somebody Else, is not linked to a client');
    }

    public function test_who_was_registrant_is_known_for_every_day_and_two_at_once_cannot_be_stored(): void
    {
        $this->at('2026-03-01T10:00:00Z');
        $name = $this->house->name('bell.com', facts: ['registrant' => 'The Foundry', 'mailbox' => 'old@bells.example']);
        $this->at('2026-10-06T09:00:00Z');
        $this->actingAs($this->house->steward)
            ->put('/names/bell.com', [
                'created_on' => '2020-11-02',
                'ends_on' => '2027-11-02',
                'intent' => 'lapse',
                'lock' => 'off',
                'version' => 1,
                'registrant' => 'Sound Kelp Farm',
                'mailbox' => 'new@kelp.example',
            ])
            ->assertSessionHasNoErrors();
        $this->get('/names/bell.com?on=2026-05-01')->assertSeeInOrder([
            'Registrant:',
            'The Foundry',
            'Registrants',
            '6 Oct 2026',
            'Sound Kelp Farm',
            '1 Mar 2026',
            'The Foundry',
            'until 6 Oct 2026',
        ]);
        $this->get('/names/bell.com?on=2026-10-07')->assertSeeInOrder(['Registrant:', 'Sound Kelp Farm']);
        $this->get('/names/bell.com?on=2025-05-01')->assertSeeInOrder(['Registrant:', 'not known']);
        $role = NameRole::query()->where('name_id', $name->id)->firstOrFail();
        $this->expectException(QueryException::class);
        $this->expectExceptionMessage('roles_past');
        DB::table('roles')->insert([
            'name_id' => $name->id,
            'registration_id' => $role->registration_id,
            'contact_id' => $role->contact_id,
            'role' => 'registrant',
            'span' => '[2026-02-01,2026-04-01)',
        ]);
    }

    public function test_a_change_says_what_it_starts_before_it_is_saved_and_old_versions_stay(): void
    {
        $this->at('2026-03-01T10:00:00Z');
        $com = $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $this->house->name('peal.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $this->house->name('peal.de', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $contact = $this->contactOf($com);
        $this->at('2026-10-06T09:00:00Z');
        $path = "/contacts/{$contact->id}";
        // An address is not material: it is saved at once.
        $this->actingAs($this->house->steward)
            ->put($path, self::form(['person' => '']))
            ->assertRedirect($path)
            ->assertSessionHas('told', 'Wickerby Bell Foundry saved. Its 3 names are being checked again.');
        $this->at('2026-10-06T10:00:00Z');
        $page = $this->put($path, self::form(['person' => '', 'mailbox' => 'desk@bells.example', 'version' => 2]))
            ->assertOk()
            ->assertSeeInOrder([
                'Not saved yet',
                '2 names under .com',
                'The present and the new registrant must confirm it',
                'verified by 21 Oct 2026',
                'before 5 Dec 2026',
                'One name under .de',
                'The new registrant must confirm it',
            ])
            ->assertSee('value="desk@bells.example"', false);
        self::assertSame('ledger@bells.example', Registrant::query()->findOrFail($com->id)->address);
        preg_match('/name="seen" value="([0-9a-f]+)"/', (string) $page->getContent(), $seen);
        $this->put($path, self::form(['person' => '', 'mailbox' => 'third@bells.example', 'version' => 2, 'seen' => $seen[1] ?? '']))
            ->assertOk()
            ->assertSee('Not saved yet');
        $this->put(
            $path,
            self::form(['person' => '', 'mailbox' => 'desk@bells.example', 'version' => 2, 'seen' => $seen[1] ?? '']),
        )->assertRedirect($path);
        self::assertSame('desk@bells.example', Registrant::query()->findOrFail($com->id)->address);
        $this->get('/roll?q=desk@bells')->assertSee('peal.de');
        $this->get($path)
            ->assertSeeInOrder(
                [
                    'PO Box 7',
                    '+44 1632 960114',
                    '+44.1632960114',
                    'Earlier versions',
                    'Mailbox was “ledger@bells.example”',
                    'Person was “Wickerby Bell Foundry”; added: organisation, street',
                    'Saved',
                ],
                false,
            )
            ->assertSee('desk@bells.example');
        // What a contact says stands in its versions only.
        self::assertSame([], DB::table('log')->where('data', 'like', '%bells.example%')->pluck('event')->all());
        self::assertSame([1, 2, 3], ContactVersion::query()->where('contact_id', $contact->id)->orderBy('number')->pluck('number')->all());
    }

    public function test_the_second_to_save_loses_nothing_and_what_cannot_stand_says_why(): void
    {
        $name = $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $path = '/contacts/'.$this->contactOf($name)->id;
        $this->actingAs($this->house->clerk)->put($path, self::form(['person' => '']))->assertSessionHasNoErrors();
        $this->from("{$path}/edit")
            ->put($path, self::form(['person' => '', 'town' => 'Elsewhere']))
            ->assertRedirect("{$path}/edit")
            ->assertSessionHasErrors('version')
            ->assertSessionHasInput('town', 'Elsewhere');
        foreach (
            [
                'mailbox' => 'nobody',
                'voice' => '12',
                'country' => 'ZZ',
                'street' => "1\n2\n3\n4",
                'kind' => 'ghost',
                'postcode' => str_repeat('1', 17),
            ] as $field => $wrong
        ) {
            $this->from("{$path}/edit")
                ->put($path, self::form([$field => $wrong, 'version' => 2]))
                ->assertSessionHasErrors($field)
                ->assertSessionHasInput('organisation', 'Wickerby Bell Foundry');
        }
        $this->post('/contacts', self::form(['organisation' => '', 'person' => '', 'mailbox' => '']))->assertSessionHasErrors(
            'organisation',
        );
        $this->put($path, self::form(['person' => '', 'version' => 2]))->assertSessionHas('told', 'No changes to Wickerby Bell Foundry.');
        $this->actingAs($this->house->reader)->put($path, self::form())->assertForbidden();
    }

    public function test_a_mailbox_at_risk_is_seen_and_cured_for_every_name_at_once(): void
    {
        $facts = fn (string $mailbox): array => ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => $mailbox];
        $inside = $this->house->name('bell.com', facts: $facts('ledger@mail.bell.com'));
        $guarded = $this->house->name('peal.com', facts: $facts('ledger@mail.bell.com'));
        self::assertSame([['mailbox_inside'], []], [$this->marks($inside), $this->marks($guarded)]);
        // What is meant with one name is to be known of the other.
        $this->actingAs($this->house->steward)
            ->put('/names/bell.com', [
                'created_on' => '2020-11-02',
                'ends_on' => '2027-11-02',
                'intent' => 'lapse',
                'lock' => 'off',
                'version' => 1,
                ...$facts('ledger@mail.bell.com'),
            ])
            ->assertSessionHasNoErrors();
        app(MakeStandings::class)->due();
        self::assertSame(['mailbox_lapses'], $this->marks($guarded));
        $this->get('/contacts')->assertSeeInOrder([
            'the name is lost',
            'The mailbox is in a name that will lapse',
            'one name',
            'it stops working',
            'is in the name itself',
        ]);
        $path = '/contacts/'.$this->contactOf($guarded)->id;
        $this->get($path)
            ->assertSee('bell.com')
            ->assertSee('intent: let lapse')
            ->assertSee('The mailbox is in a name that will lapse: one name');
        app(TradeClock::class)->set(Instant::of('2026-10-06T10:00:00Z'));
        preg_match(
            '/name="seen" value="([0-9a-f]+)"/',
            (string) $this->put($path, self::form(['client_id' => $this->house->foundry->id]))->getContent(),
            $seen,
        );
        $this->put($path, self::form(['seen' => $seen[1] ?? '', 'client_id' => $this->house->foundry->id]))->assertRedirect($path);
        // Another mailbox must be verified, and their registrars have the old one; that it is at risk is no more said.
        self::assertSame([['verify_by', 'not_told'], ['verify_by', 'not_told']], [$this->marks($inside), $this->marks($guarded)]);
    }

    public function test_rings_are_found_told_and_gone_once_broken(): void
    {
        $names = [];
        foreach (
            [
                'one.com' => 'two.com',
                'two.com' => 'three.com',
                'three.com' => 'one.com',
                'four.com' => 'one.com',
                'five.com' => 'five.com',
            ] as $name => $site
        ) {
            $names[$name] = $this->house->name($name, facts: ['registrant' => "Holder of {$name}", 'mailbox' => "post@mail.{$site}"]);
        }
        self::assertSame(3, app(FindRings::class)->handle());
        app(MakeStandings::class)->due();
        $rings = array_map(fn (Name $name): bool => in_array('mailbox_ring', $this->marks($name), true), $names);
        self::assertSame(['one.com' => true, 'two.com' => true, 'three.com' => true, 'four.com' => false, 'five.com' => false], $rings);
        $this->actingAs($this->house->reader)->get('/names/two.com')->assertSee('3 names depend on each other’s mail');
        app(RecordRegistrants::class)->of([$names['two.com']->id => ['mailbox' => 'post@elsewhere.example']], 'typed', null);
        self::assertSame(0, app(FindRings::class)->handle());
        app(MakeStandings::class)->due();
        self::assertNotContains('mailbox_ring', $this->marks($names['one.com']));
    }

    public function test_two_that_are_one_are_put_together_and_history_stays(): void
    {
        $one = $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $two = $this->house->name(
            'peal.com',
            $this->house->account('7', $this->house->foundry),
            facts: ['registrant' => 'The Wickerby Bell-Foundry Ltd.', 'mailbox' => 'old@bells.example'],
        );
        [$kept, $gone] = [$this->contactOf($one), $this->contactOf($two)];
        // Both were technical contacts of one name for a while: that was one role, from the first day to the last.
        foreach (
            [[$gone->id, '[2026-01-01,2026-08-01)'], [$kept->id, '[2026-06-01,'
                .')'], [$gone->id, '[2024-01-01,2025-01-01)']] as [$contact, $span]
        ) {
            DB::insert(
                "INSERT INTO roles (name_id, registration_id, contact_id, role, span) SELECT name_id, id, ?, 'technical', ?::tstzrange
                    FROM registrations WHERE name_id = ?",
                [$contact, $span, $one->id],
            );
        }
        $this->actingAs($this->house->steward)->get('/contacts/alike')->assertSee('Wickerby Bell Foundry')->assertSee('old@bells.example');
        $this->get("/contacts/{$kept->id}")
            ->assertSee('Possible duplicates')
            ->assertSee('old@bells.example');
        // Other mailboxes, other names: nothing is ticked beforehand, and it says what differs.
        $ticked = fn (string $page): int => (int) preg_match_all(
            '/name="together\[\]"[^>]* checked/',
            (string) $this->get($page)->assertSee('person, mailbox')->getContent(),
        );
        self::assertSame([0, 0], [$ticked('/contacts/alike'), $ticked("/contacts/{$kept->id}")]);
        $this->post('/contacts/alike', ['together' => [$gone->id]])->assertSessionHasErrors('keep');
        $this->post('/contacts/alike', ['keep' => $kept->id, 'together' => [$kept->id, $gone->id]])->assertSessionHas(
            'told',
            'One contact is now part of Wickerby Bell Foundry. The registrar of one name still has other data: its folio shows that until '
                .'the change is sent.',
        );
        // What its registrar has is not changed by our books.
        $this->get('/names/peal.com')->assertSee('Tell the registrar');
        $this->get('/roll?finding=contact.not_told')->assertSee('peal.com')->assertDontSee('>bell.com<', false);
        $this->post('/contacts/alike', ['keep' => $kept->id, 'together' => [$gone->id]])->assertSessionHas('told', 'Nothing was merged.');
        self::assertSame($kept->id, $this->contactOf($two)->id);
        $technical = NameRole::query()->where('name_id', $one->id)->where('role', 'technical')->orderBy('span')->get();
        self::assertSame(
            [[$kept->id, '2024-01-01', '2025-01-01'], [$kept->id, '2026-01-01', null]],
            $technical
                ->map(fn (NameRole $role): array => [$role->contact_id, $role->span->from?->date(), $role->span->until?->date()])
                ->all(),
        );
        $this->get("/contacts/{$gone->id}")->assertRedirect("/contacts/{$kept->id}");
        $this->get('/roll?q=old@bells')->assertDontSee('peal.com');
        $this->get('/contacts/alike')->assertSee('No possible duplicates');
        self::assertSame(
            'old@bells.example',
            ContactVersion::query()->where('contact_id', $gone->id)->with('mailbox')->sole()->mailbox?->address,
        );
        $this->actingAs($this->house->reader)
            ->post('/contacts/alike', ['keep' => $kept->id, 'together' => [$gone->id]])
            ->assertForbidden();
    }

    public function test_only_what_agrees_in_everything_is_ticked_beforehand(): void
    {
        $form = ['organisation' => 'Quince Works', 'mailbox' => 'desk@quince.example'] + self::form();
        $this->actingAs($this->house->clerk)->post('/contacts', $form)->assertRedirect();
        $first = Contact::query()->sole();
        foreach ([[], ['voice' => ''], ['organisation' => 'QUINCE WORKS']] as $other) {
            DB::table('contacts')->update(['updated_at' => now()]);
            $this->post('/contacts', $other + $form)->assertSessionHasNoErrors();
        }
        $page = (string) $this->get("/contacts/{$first->id}")->getContent();
        preg_match_all('/name="together\[\]" value="(\d+)"([^>]*)/', $page, $found);
        self::assertSame([true, false, true], array_map(fn (string $rest): bool => str_contains($rest, 'checked'), $found[2]));
        $this->get("/contacts/{$first->id}")
            ->assertSee('identical')
            ->assertSee('differs: telephone');
        $this->post('/contacts/alike', ['keep' => $first->id, 'together' => [$found[1][0]]])->assertSessionHas(
            'told',
            'One contact is now part of Quince Works.',
        );
    }

    public function test_cards_go_out_and_come_in_and_what_is_refused_says_why(): void
    {
        $this->actingAs($this->house->clerk)->post('/contacts', self::form())->assertRedirect();
        $contact = Contact::query()->sole();
        $card = $this->get("/contacts/{$contact->id}/card.vcf")
            ->assertOk()
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->getContent();
        $bring = fn (string $text): mixed => $this->post('/contacts/cards', [
            'cards' => UploadedFile::fake()->createWithContent('contacts.vcf', $text),
        ]);
        $bring((string) $card)->assertSessionHas('told', 'No contacts were imported. One was here already.');
        $bring(
            $card.
                "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ansel Wrack\r\nTEL:12\r\nEND:VCARD\r\nBEGIN:VCARD\r\nVERSION:3.0\r\nFN:Petra "
                    ."Quill\r\nADR:;;1 Quay;Wickerby;;WS1 4AB;United Kingdom\r\nEND:VCARD\r\n",
        )
            ->assertSessionHas('told', 'One contact was imported. One was here already.')
            ->assertSessionHasErrors(['cards' => 'Card 2: “12” can’t be telephoned: write it with its country, as +44 1632 960123.']);
        self::assertSame(
            ['GB', 'card'],
            array_values(
                ContactVersion::query()
                    ->where('person', 'Petra Quill')
                    ->sole()
                    ->only(['country', 'source']),
            ),
        );
        $bring('name,ends')->assertSessionHasErrors('cards');
        $this->post('/contacts/cards')->assertSessionHasErrors('cards');
        $this->actingAs($this->house->reader)->post('/contacts/cards')->assertForbidden();
    }

    public function test_whether_a_host_takes_mail_is_asked_of_its_name_servers(): void
    {
        $this->world()->add([
            'names' => [],
            'moods' => [],
            'zones' => [],
            'mailboxes' => [],
            'hosts' => [['host' => 'takes.example', 'addresses' => ['192.0.2.91']]],
        ]);
        $facts = fn (string $host): array => ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => "post@{$host}"];
        $takes = $this->house->name('bell.com', facts: $facts('takes.example'));
        $none = $this->house->name('peal.com', facts: $facts('nowhere-at-all.example'));
        $silent = $this->house->name('knell.com', facts: $facts('any.unknown-suffix'));
        app(CheckMailboxes::class)->some(10);
        app(MakeStandings::class)->due();
        self::assertSame([[], ['takes_no_mail']], [$this->marks($takes), $this->marks($none)]);
        $this->actingAs($this->house->reader)
            ->get('/contacts/'.$this->contactOf($takes)->id)
            ->assertSee('its domain accepts e-mail, checked on');
        self::assertSame(0, DB::table('mailboxes')->whereNull('looked_on')->count());
        self::assertContains(DB::table('mailboxes')->where('address', 'post@any.unknown-suffix')->value('takes_mail'), ['no', 'unknown']);
        self::assertNotNull($silent->registrant);
    }

    public function test_a_person_is_erased_on_request_and_what_must_stay_stays_whole(): void
    {
        $name = $this->house->name('bell.com', facts: ['registrant' => 'Gudrun Kettle', 'mailbox' => 'gudrun@kettle.example']);
        $contact = $this->contactOf($name);
        $this->actingAs($this->house->steward)
            ->get("/contacts/{$contact->id}/erase")
            ->assertSee('This contact can’t be erased yet: it is used for one name');
        $this->post("/contacts/{$contact->id}/erase", ['asked_on' => '2026-10-01', 'words' => 'by letter'])->assertSessionHas(
            'told',
            'Nothing was erased: it is used for names, or it is already erased.',
        );
        $this->at('2026-10-06T09:05:00Z');
        $this->put('/names/bell.com', [
            'created_on' => '2020-11-02',
            'ends_on' => '2027-11-02',
            'intent' => 'lapse',
            'lock' => 'off',
            'version' => 1,
            'registrant' => 'Sound Kelp Farm',
            'mailbox' => 'tide@kelp.example',
        ])->assertSessionHasNoErrors();
        DB::table('letters')->insert([
            'kind' => 'yearly',
            'mailbox_id' => DB::table('mailboxes')->where('address', 'gudrun@kettle.example')->value('id'),
            'mailbox' => 'Gudrun@kettle.example',
            'subject' => 's',
            'body' => 'Dear Gudrun Kettle',
            'written_on' => '2026-01-01',
            'day' => '2026-01-01',
            'about' => '2026',
            'state' => 'sent',
        ]);
        $page = $this->get("/contacts/{$contact->id}/erase")->assertSeeInOrder([
            'What is erased',
            'What is kept, and why',
            'Erase this contact for good',
        ]);
        self::assertStringContainsString('the chain of title', (string) $page->getContent());
        $this->post("/contacts/{$contact->id}/erase", ['asked_on' => '2026-10-01'])->assertSessionHasErrors('words');
        $this->post("/contacts/{$contact->id}/erase", ['asked_on' => '2026-10-01', 'words' => 'by letter'])->assertSessionHas(
            'told',
            'The contact is erased.',
        );
        foreach (
            [
                'contact_versions',
                'mailboxes',
                'letters',
                'links',
                'log',
                'import_rows',
                'roles',
                'standings',
                'erasures',
                'registrations',
                'docket_lines',
                'proofs',
            ] as $table
        ) {
            self::assertDoesNotMatchRegularExpression('/kettle|gudrun/i', (string) json_encode(DB::table($table)->get()), $table);
        }
        $this->get("/contacts/{$contact->id}/erase")->assertSeeInOrder([
            'Erased on 6 Oct 2026',
            'as requested on 1 Oct 2026',
            'The proof',
            'Letters',
            'by letter',
            'Digest',
        ]);
        // Who was registrant when is still known, by number.
        $this->get('/names/bell.com?on=2026-10-06')->assertSee('erased');
        self::assertSame(2, NameRole::query()->where('name_id', $name->id)->count());
        $this->post("/contacts/{$contact->id}/erase", ['asked_on' => '2026-10-01', 'words' => 'again'])->assertSessionHas(
            'told',
            'Nothing was erased: it is used for names, or it is already erased.',
        );
        $this->actingAs($this->house->clerk)
            ->get("/contacts/{$contact->id}/erase")
            ->assertForbidden();
    }

    public function test_many_names_on_the_mailbox_of_one_person_are_told(): void
    {
        $names = array_map(
            fn (int $number): Name => $this->house->name(
                "bell-{$number}.com",
                facts: ['registrant' => 'Gudrun Kettle', 'mailbox' => 'gudrun@kettle.example'],
            ),
            range(1, 10),
        );
        $this->actingAs($this->house->reader)->get('/contacts')->assertDontSee('depend on one person’s mailbox');
        $this->contactOf($names[0])->update(['kind' => 'person']);
        $this->get('/contacts')->assertSee('10 names depend on one person’s mailbox')->assertSee('Gudrun Kettle');
        NameRole::query()->where('name_id', $names[9]->id)->delete();
        $this->get('/contacts')->assertDontSee('depend on one person’s mailbox');
    }

    public function test_other_roles_are_given_as_far_as_the_suffix_still_has_them(): void
    {
        $name = $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $contact = $this->contactOf($name);
        $this->actingAs($this->house->clerk)
            ->get('/names/bell.com')
            ->assertSee('Add a contact')
            ->assertSee('technical contact')
            ->assertDontSee('billing contact');
        $this->post('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'technical'])->assertSessionHas('told', 'Saved.');
        $this->post('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'technical'])->assertSessionHas(
            'told',
            'It already has that role.',
        );
        // ICANN Registration Data Policy, 2025: gTLDs have no billing contact any more.
        $this->post('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'billing'])->assertSessionHasErrors([
            'role' => 'Names under .com no longer have such a contact.',
        ]);
        $this->post('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'registrant'])->assertSessionHasErrors('role');
        $this->post('/names/bell.com/roles', ['contact' => 999, 'role' => 'technical'])->assertSessionHasErrors('contact');
        $this->get("/contacts/{$contact->id}")->assertSee('registrant, technical contact');
        $this->at('2026-10-07T09:00:00Z');
        $this->delete('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'technical'])->assertSessionHas('told');
        self::assertSame(
            ['2026-10-07'],
            NameRole::query()->where('role', 'technical')->get()->map(fn (NameRole $role): ?string => $role->span->until?->date())->all(),
        );
        $this->actingAs($this->house->reader)
            ->post('/names/bell.com/roles', ['contact' => $contact->id, 'role' => 'technical'])
            ->assertForbidden();
    }

    public function test_a_mailbox_at_a_name_that_is_held_for_a_client_is_that_clients(): void
    {
        $kelp = Client::query()->create(['name' => 'Sound Kelp Farm']);
        $known = $this->house->name(
            'kelp.com',
            client: $kelp,
            facts: ['registrant' => 'Kelp Trading', 'mailbox' => 'tide@kelp.com', 'intent' => Intent::ByItself],
        );
        // A mailbox at a name that is held for a client is that client's.
        $second = $this->house->name('kelp.org', client: $kelp, facts: ['registrant' => 'Kelp Shop', 'mailbox' => 'shop@kelp.com']);
        self::assertSame([$kelp->id, $kelp->id], [$this->contactOf($known)->client_id, $this->contactOf($second)->client_id]);
        self::assertSame('2026-10-06', NameRole::query()->where('name_id', $second->id)->sole()->span->from?->date());
    }
}
