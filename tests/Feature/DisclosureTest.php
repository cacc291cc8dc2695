<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\Pattern as PatternValue;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Rulebook\Publication;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Contacts\SaveContact;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Outside\Observe;
use App\Actions\Registrar\ChangeDisclosure;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Extra;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Pattern;
use App\Models\Registrant;
use App\Models\Registration;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Queries\Contacts\Holders;
use App\Queries\Names\CaseFiles;
use App\Queries\Outside\LastSeen;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What the public record shows of registrants: patterns, the record that is to come, and the deed that makes it so. */
#[Group('world')]
final class DisclosureTest extends TestCase
{
    use Worldly;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->steward);
    }

    /** @param  list<string>  $shown */
    private function held(
        string $name,
        array $shown = ['organisation'],
        HolderKind $kind = HolderKind::Organisation,
        ?Account $account = null,
    ): Name {
        $row = $this->house->name(
            $name,
            $account,
            facts: ['registrant' => "Wickerby Bell Foundry {$kind->value}", 'mailbox' => 'ledger@bells.example', 'shown' => $shown],
        );
        $contact = Contact::query()->findOrFail(Registrant::query()->findOrFail($row->id)->contact_id);
        app(SaveContact::class)->change(
            $this->house->steward,
            $contact,
            ContactValue::of(
                $kind,
                $kind === HolderKind::Person ? null : 'Wickerby Bell Foundry',
                'Gudrun Kettle',
                Address::of(['PO Box 7'], 'Wickerby', 'North Sound', 'WS1 4AB', Country::of('GB')),
                Phone::of('+44.1632960114'),
                Mailbox::of('ledger@bells.example'),
            ),
            $this->house->foundry->id,
            $contact->version,
        );

        return $row;
    }

    private function docket(Pattern $pattern, string $consent, Name ...$names): Docket
    {
        $ids = array_values(array_map(fn (Name $name): int => $name->id, $names));
        $terms =
            app(ChangeDisclosure::class)->terms(['pattern' => $pattern->id, 'consent' => $consent, 'consent_on' => '2026-10-01']) ?? [];
        $docket = app(PrepareDocket::class)->handle($this->house->steward, House::token(), 'change_disclosure', $ids, $terms, $ids);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);

        return $docket->refresh();
    }

    private static function pattern(string $name): Pattern
    {
        return Pattern::query()->where('name', $name)->sole();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function look(string $names, string $pattern, string $consent = ''): TestResponse
    {
        return $this->get(
            '/deeds/change_disclosure?'.
                http_build_query(['name' => $names, 'pattern' => self::pattern($pattern)->id, 'consent' => $consent]),
        );
    }

    public function test_the_page_shows_field_by_field_what_is_read_after(): void
    {
        $this->held('bell.com');
        $this->look('bell.com', 'nothing of ours')
            ->assertOk()
            ->assertSeeInOrder(['One name: show “nothing of ours”', '1 of 1 can go now'], false)
            ->assertSeeInOrder([
                'Person',
                'Gudrun Kettle',
                'not checked',
                'redacted',
                'by the rule of .com',
                'Organisation',
                'Wickerby Bell Foundry',
                'redacted',
                'Region',
                'North Sound',
                'shown',
                'Country',
                'shown',
            ])
            ->assertSee('Under .com region, country are always public');
    }

    public function test_showing_more_needs_the_holders_word_and_it_is_kept(): void
    {
        $name = $this->held('bell.com');
        $this->look('bell.com', 'open to be found')
            ->assertSee('0 of 1 can go now')
            ->assertSee('Wickerby Bell Foundry must agree first: person, street, town, postcode, telephone, mailbox would become public');
        $docket = $this->docket(self::pattern('open to be found'), 'By telephone: “yes, put us in the book”', $name);
        $consent = Row::of(DB::table('consents')->where('docket_id', $docket->id)->sole());
        self::assertSame(
            ['By telephone: “yes, put us in the book”', '2026-10-01'],
            [$consent->text('words'), $consent->instant('given_on')?->date()],
        );
        self::assertSame(LineState::Begun, $docket->lines()->sole()->state);
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Set what the public record shows')
            ->assertSee('person, organisation, street');
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        $registration = Registration::query()->where('name_id', $name->id)->sole();
        self::assertSame(
            [9, Disclosure::Shown, self::pattern('open to be found')->id],
            [count($registration->shown ?? []), $registration->disclosure, $registration->pattern_id],
        );
        $this->look('bell.com', 'open to be found')->assertSee('It is already so');
        $this->get("/dockets/{$docket->id}/proof.txt")->assertSee('disclosure: open to be found');
    }

    public function test_a_suffix_that_leaves_no_choice_says_so_before(): void
    {
        $this->held('bell.us');
        $this->held('bell.de');
        $this->look('bell.us', 'nothing of ours')->assertSee('Under .us there is no choice')->assertSee('0 of 1 can go now');
        $this->look('bell.de', 'open to be found', 'yes')->assertSee('Under .de there is no choice');
        $this->house->name('nobody.com');
        $this->look('nobody.com', 'nothing of ours')->assertSee('Its registrant is not known');
    }

    public function test_a_registrar_that_sells_steps_gets_the_nearest_that_shows_no_more(): void
    {
        $this->house->skerry->update([
            'disclosure_steps' => [['organisation', 'country'], ['organisation', 'town', 'country', 'mailbox'], ['mailbox']],
        ]);
        $name = $this->held('bell.com', []);
        $this->look('bell.com', 'the organisation, not the person', 'yes')->assertSee(
            'Skerry Registrations offers levels only; the nearest that shows no more is used: organisation, country',
        );
        $docket = $this->docket(self::pattern('the organisation, not the person'), 'yes', $name);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['Show', 'organisation, country', 'Withhold', 'person, street']);
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame(['organisation', 'country'], Registration::query()->where('name_id', $name->id)->sole()->shown);
    }

    public function test_a_pattern_changed_later_changes_no_docket_and_a_reader_may_not(): void
    {
        $name = $this->held('bell.com');
        $pattern = self::pattern('nothing of ours');
        $docket = $this->docket($pattern, '', $name);
        $pattern->update(['fields' => ['mailbox']]);
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame([], Registration::query()->where('name_id', $name->id)->sole()->shown);
        $this->actingAs($this->house->reader)->get('/deeds/change_disclosure?name=bell.com&pattern=1')->assertForbidden();
    }

    public function test_patterns_are_the_houses_own_and_a_name_says_which_it_is_to_follow(): void
    {
        $this->held('bell.com');
        $this->get('/patterns')->assertSee('open to be found')->assertSee('Add a pattern');
        $this->post('/patterns', ['name' => 'reached, not named', 'fields' => ['mailbox', 'country']])
            ->assertRedirect('/patterns')
            ->assertSessionHas('told', 'reached, not named saved.');
        $pattern = self::pattern('reached, not named');
        self::assertSame(['country', 'mailbox'], $pattern->fields);
        $this->post('/patterns', ['name' => 'Reached, NOT named'])->assertSessionHasErrors('name');
        $this->post('/patterns', ['name' => 'x', 'fields' => ['shoe size']])->assertSessionHasErrors('fields.0');
        $this->put("/patterns/{$pattern->id}", ['name' => 'reached', 'fields' => [], 'version' => 1])->assertSessionHasNoErrors();
        $this->from("/patterns/{$pattern->id}/edit")
            ->put("/patterns/{$pattern->id}", ['name' => 'third', 'version' => 1])
            ->assertSessionHasErrors('version');
        $this->get('/names/bell.com')->assertDontSee('Should follow');
        $this->put('/clients/'.$this->house->foundry->id, [
            'name' => 'Wickerby Bell Foundry',
            'pattern_id' => $pattern->id,
            'version' => $this->house->foundry->version,
        ])->assertSessionHasNoErrors();
        $this->get('/names/bell.com')
            ->assertSee('Should follow “reached”')
            ->assertSee("pattern={$pattern->id}");
        $this->actingAs($this->house->reader)
            ->post('/patterns', ['name' => 'y'])
            ->assertForbidden();
    }

    public function test_a_registrars_steps_are_written_down_one_a_line(): void
    {
        $form = [
            'name' => 'Skerry Registrations',
            'receiver_by' => 'number_login',
            'confirms' => 'receiver',
            'accept_days' => 14,
            'lot_size' => 500,
            'handover_hold_days' => 0,
            'charge_lead_days' => 7,
            'version' => $this->house->skerry->version,
        ];
        $path = '/registrars/'.$this->house->skerry->id;
        $this->put($path, $form + ['disclosure_steps' => "nothing\r\nOrganisation, country\r\n"])->assertSessionHasNoErrors();
        self::assertSame([[], ['organisation', 'country']], $this->house->skerry->refresh()->disclosure_steps);
        $this->get("{$path}/edit")->assertSee("nothing\norganisation, country", false);
        $this->from("{$path}/edit")
            ->put($path, ['version' => $this->house->skerry->version] + $form + ['disclosure_steps' => 'shoe size'])
            ->assertSessionHasErrors('disclosure_steps');
    }

    /**
     * Told by wire, each directory shows field by field what the core said it would: every suffix of the simulated world, every pattern,
     * every kind of holder. The world redacts by the policies as they are recorded there, not by our rulebook.
     */
    public function test_a_privacy_service_has_an_end_of_its_own_and_its_lapsing_is_seen_before_and_after(): void
    {
        $name = $this->held('bell.com');
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['disclosure' => 'replaced']);
        $at = function (string $instant): void {
            app(TradeClock::class)->set(Instant::of($instant));
            app(MakeStandings::class)->due();
        };
        $found = fn (): array => array_values(
            array_filter(
                ['privacy_ends', 'privacy_over'],
                fn (string $finding): bool => str_contains(
                    (string) $this->get("/roll?finding=disclosure.{$finding}")->getContent(),
                    '/names/bell.com',
                ),
            ),
        );
        $this->post('/names/bell.com/extras', [
            'extra' => 'privacy',
            'extra_ends' => '2026-12-01',
            'extra_renews' => '0',
        ])->assertRedirect();
        $this->get('/names/bell.com')->assertSee('ends on 1 Dec 2026')->assertSee('Mark as ended');
        self::assertSame([], $found());
        $at('2026-11-02T09:00:00Z');
        self::assertSame(['privacy_ends'], $found());
        $this->get('/rounds')->assertSee('its privacy service ends');
        $this->get('/deeds/change_disclosure?name=bell.com&pattern='.Pattern::query()->orderBy('id')->firstOrFail()->id)->assertSee(
            'A privacy service’s data is shown instead',
        );
        $at('2026-12-02T09:00:00Z');
        self::assertSame(['privacy_over'], $found());
        $this->get('/names/bell.com')->assertSee('Its privacy service ended on 1 Dec')->assertSee('disclosure: not known');
        $this->get('/deeds/change_disclosure?name=bell.com&pattern='.Pattern::query()->orderBy('id')->firstOrFail()->id)->assertDontSee(
            'A privacy service’s data is shown instead',
        );
        // Recorded anew it is one and the same; one that goes on by itself is no finding.
        $this->post('/names/bell.com/extras', [
            'extra' => 'privacy',
            'extra_ends' => '2027-12-01',
            'extra_renews' => '1',
        ])->assertRedirect();
        self::assertSame([[], 1], [$found(), Extra::query()->where('kind', 'privacy')->count()]);
        $this->delete('/names/bell.com/extras', ['extra' => 'privacy'])->assertRedirect();
        $this->get('/names/bell.com')->assertSee('ended on 2 Dec 2026');
        $this->from('/names/bell.com')
            ->post('/names/bell.com/extras', ['extra' => 'paint', 'extra_ends' => 'soon'])
            ->assertSessionHasErrors(['extra', 'extra_ends']);
        $this->actingAs($this->house->reader)
            ->post('/names/bell.com/extras', ['extra' => 'privacy'])
            ->assertForbidden();
    }

    public function test_the_record_predicted_and_the_directorys_are_equal_field_by_field(): void
    {
        $this->world();
        $this->world->weather('fair', 0);
        $this->house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700', 'behind' => ['SKERRY']]);
        $trial = getmypid();
        $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => "a wren {$trial}"]);
        $account = $this->house->account("D-{$trial}", null);
        $account->update(['gate_secret_id' => $secret->id, 'gate_for' => GatePin::of($account->registrar()->sole())]);
        $patterns = [
            ...Pattern::query()->orderBy('id')->get()->all(),
            Pattern::query()->create(['name' => 'reached, not named', 'fields' => ['mailbox', 'voice', 'town']]),
        ];
        // Every rule of the rulebook, at six of its suffixes at most: directories are asked so often a minute. Where a registry tells
        // organisations from persons, whoever is not known to be either can't be predicted.
        $rules = fn (string $suffix): Published => app(Rulebook::class)->for($suffix, Instant::of('2026-10-06'))->published->value;
        $alike = [];
        foreach (app(Rulebook::class)->suffixes() as $suffix) {
            $alike[serialize($rules($suffix))][] = $suffix;
        }
        $suffixes = array_merge(...array_map(fn (array $some): array => array_slice($some, 0, 6), array_values($alike)));
        self::assertContains('de', $suffixes);
        $same = fn (string $suffix): bool => array_filter(
            Field::cases(),
            fn (Field $field): bool => $rules($suffix)->of($field, HolderKind::Organisation) !==
                $rules($suffix)->of($field, HolderKind::Person),
        ) === [];
        $kinds = array_combine(
            $suffixes,
            array_map(
                fn (string $suffix): array => $same($suffix) ? HolderKind::cases() : [HolderKind::Organisation, HolderKind::Person],
                $suffixes,
            ),
        );
        $open = array_filter(
            $suffixes,
            fn (string $suffix): bool => array_filter(
                Field::cases(),
                fn (Field $field): bool => in_array(
                    $rules($suffix)->of($field, HolderKind::Organisation),
                    [Publication::Choice, Publication::Consent],
                    true,
                ),
            ) !== [],
        );
        self::assertGreaterThan(8, count($open));
        $count = fn (string ...$of): int => count(array_merge(...array_values(array_intersect_key($kinds, array_flip($of)))));
        $told = $names = [];
        foreach ($patterns as $which => $pattern) {
            foreach ($suffixes as $suffix) {
                foreach ($kinds[$suffix] as $kind) {
                    $ascii = "disclosed-{$trial}-{$which}-{$kind->value}.{$suffix}";
                    $names[$which][] = $this->held($ascii, ['voice'], $kind, $account);
                    $told[] = [
                        'name' => $ascii,
                        'registrar' => 'skerry',
                        'created' => Instant::of('2020-11-02')->epoch,
                        'ends' => Instant::of('2027-11-02')->epoch,
                        'updated' => 0,
                        'statuses' => [],
                        'servers' => [],
                        'shown' => ['voice'],
                        'holder' => [
                            'handle' => 'D-1',
                            'name' => 'Gudrun Kettle',
                            'organisation' => $kind === HolderKind::Person ? '' : 'Wickerby Bell Foundry',
                            'street' => 'PO Box 7',
                            'town' => 'Wickerby',
                            'region' => 'North Sound',
                            'postcode' => 'WS1 4AB',
                            'country' => 'GB',
                            'voice' => '+44.1632960114',
                            'mailbox' => 'ledger@bells.example',
                        ],
                        'autoRenew' => true,
                        'account' => $account->number,
                        'due' => Instant::of('2099-01-01')->epoch,
                    ];
                }
            }
        }
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => $told,
            'accounts' => [
                [
                    'number' => $account->number,
                    'registrar' => 'skerry',
                    'login' => (string) $account->login,
                    'mailbox' => 'a@b.example',
                    'password' => "a wren {$trial}",
                    'balance' => 100_00,
                ],
            ],
        ]);
        foreach ($patterns as $which => $pattern) {
            $docket = $this->docket($pattern, 'yes', ...$names[$which]);
            $states = array_count_values(
                array_map(fn (DocketLine $line): string => $line->state->value, array_values($docket->lines()->get()->all())),
            );
            // Where the suffix alone decides, nothing can be chosen.
            self::assertEquals(['done' => $count(...$open), 'stopped' => $count(...$suffixes) - $count(...$open)], $states, $pattern->name);
        }
        // Some minutes later the directories have it.
        $later = Instant::of('2026-10-06T09:10:00Z');
        app(TradeClock::class)->set($later);
        $this->world->moveTo(($this->world->now() ?? $later)->plusSeconds(600));
        $all = array_merge(...$names);
        app(Observe::class)->of(array_map(fn (Name $name): int => $name->id, $all));
        $files = app(CaseFiles::class)->held(array_map(fn (Name $name): int => $name->id, $all), $later);
        $holders = app(Holders::class)->of(array_values($files));
        $compared = 0;
        foreach ($files as $file) {
            foreach (app(LastSeen::class)->of($file->nameId, $file->facts->name->ascii) as $seen) {
                $record = $seen[0]->record;
                if ($record !== null && $record->holder !== [] && $file->guard !== null) {
                    $meant = PublishedRecord::of(
                        $holders[$file->guard->contact],
                        $file->told ?? PatternValue::of([]),
                        app(Rulebook::class)->for($file->facts->name->suffix(), $later)->published->value,
                        false,
                    );
                    self::assertSame(
                        [],
                        array_map(fn (Field $field): string => $field->value, RecordDifference::fields($meant, $record)),
                        "{$file->facts->name->ascii} at {$record->source->value}",
                    );
                    $compared++;
                }
            }
        }
        // Registry and registrar of each name but those under .de, whose directory answers by text and names no holder.
        self::assertSame(count($patterns) * ($count(...$suffixes) - 3) * 2, $compared);
        self::assertSame(
            count($patterns) * $count(...$open),
            DocketLine::query()->whereNotNull('seen_on')->count(),
            'and the dockets say so',
        );
    }
}
