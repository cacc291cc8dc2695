<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Time\Instant;
use App\Actions\Imports\UndoImport;
use App\Actions\Imports\WriteImport;
use App\Actions\Words\GiveWords;
use App\Jobs\WorkImport;
use App\Models\Account;
use App\Models\Client;
use App\Models\ContactVersion;
use App\Models\Holding;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Name;
use App\Models\Registrant;
use App\Models\Registration;
use App\Models\Setback;
use App\Models\SetbackKind;
use App\Support\Folded;
use App\Support\Row;
use App\Support\TradeClock;
use ArrayObject;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

final class ImportTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->house = new House();
        $this->actingAs($this->house->clerk);
    }

    private function upload(string $content, ?int $account = null, string $file = 'list.csv'): Import
    {
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent($file, $content),
            'registrar' => $this->house->skerry->id,
            'account' => $account,
            'client' => $this->house->harrow->id,
        ])
            ->assertSessionHasNoErrors()
            ->assertRedirect();

        return Import::query()->latest('id')->firstOrFail();
    }

    private function bring(string $content, bool $whole = false): Import
    {
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent('list.csv', $content),
            'registrar' => $this->house->skerry->id,
            'account' => $this->house->ours->id,
            'client' => $this->house->harrow->id,
            'whole' => $whole,
        ])->assertSessionHasNoErrors();
        $import = $this->match(Import::query()->latest('id')->firstOrFail());
        $this->post("/imports/{$import->id}/write")->assertRedirect();

        return $import->refresh();
    }

    private function match(Import $import, string $order = 'ymd'): Import
    {
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => $order,
        ])->assertSessionHasNoErrors();

        return $import->refresh();
    }

    #[TestWith([ImportState::Writing, 0.25], 'two of eight are written')]
    #[TestWith([ImportState::Undoing, 0.75], 'two of eight are left to take back')]
    #[TestWith([ImportState::Reading, null], 'its length is not known before it was read')]
    public function test_how_far_it_is(ImportState $state, ?float $far): void
    {
        $import = $this->upload("name\nfar.com\n", $this->house->ours->id);
        $import->update(['state' => $state, 'rows_total' => 8, 'rows_written' => 2]);
        $this->getJson("/imports/{$import->id}/state")
            ->assertOk()
            ->assertJson(['waiting' => 1, 'far' => $far]);
        $page = $this->get("/imports/{$import->id}")->assertOk();
        $far === null ? $page->assertDontSee('<progress max="1" value', false) : $page->assertSee("value=\"{$far}\"", false);
        $page->assertSee('data-far', false);
    }

    public function test_from_the_file_to_the_roll(): void
    {
        $this->house->name('known.com', facts: ['ends_on' => Instant::of('2027-11-02'), 'registrant' => 'The Foundry']);
        $this->house->name('same.com');
        $import = $this->upload(
            implode("\r\n", [
                'Domain;Expiry date;Created;Auto-renew;Lock;Owner;E-mail;Order ID;Colour of the folder;Account;Client',
                'NEW.com;13.10.2027;12.10.2020;yes;on;Sound Kelp Farm;tide@kelp.example;R-1;green;40718;Sound Kelp Farm',
                'known.com;2.11.2028;2.11.2020;no;;The Foundry;;;;40718;',
                'same.com;2.11.2027;;;;;;;;40718;',
                'new.com;12.10.2027;;;;;;;;40718;',
                'bad_name.com;12.10.2027;;;;;;;;40718;',
                'date.com;31.02.2027;;;;;;;;40718;',
                'shop.known.com;12.10.2027;;;;;;;;40718;',
                'elsewhere.com;12.10.2027;;maybe;;;;;;40718;',
                'glockenwärts.com;12.10.2027;;;;;;;;99999;Wickerby Bell Foundry',
                '',
            ]),
        );
        self::assertSame(
            ['name', 'ends', 'created', 'intent', 'lock', 'registrant', 'mailbox', 'reference', 'raw', 'account', 'client'],
            $import->matched['columns'] ?? [],
        );
        self::assertSame('dmy', $import->matched['order'] ?? '');
        $this->get("/imports/{$import->id}")
            ->assertOk()
            ->assertSee('Match the columns')
            ->assertSee('Colour of the folder');
        $import = $this->match($import, 'dmy');
        self::assertSame(ImportState::Read, $import->state);
        self::assertSame(2, Name::query()->count(), 'Nothing is written before the preview is accepted.');

        $this->get("/imports/{$import->id}?verdict=new")
            ->assertSeeInOrder([
                '2 new',
                '1 changed',
                '1 the same',
                '5 refused',
                'new.com',
                'auto-renew',
                'Sound Kelp Farm',
                'glockenwärts.com',
            ])
            ->assertSee('Import 3 names')
            ->assertSee('99999');
        $this->get("/imports/{$import->id}?verdict=changed")->assertSeeInOrder(['known.com', 'ends on', '2 Nov 2027', '2 Nov 2028']);
        $refused = $this->get("/imports/{$import->id}?verdict=refused");
        foreach (
            [
                'Row 2 already has this name',
                'has an underscore',
                '“31.02.2027” is not a date',
                'a name below known.com',
                '“maybe” is neither yes nor no',
            ] as $why
        ) {
            $refused->assertSee($why);
        }
        $this->post("/imports/{$import->id}/write", [
            'clients' => ['Sound Kelp Farm', 'Never Offered'],
            'accounts' => [],
        ])->assertRedirect();
        $import->refresh();
        self::assertSame([ImportState::Done, 3], [$import->state, $import->rows_written]);
        self::assertSame(0, Client::query()->where('name', 'Never Offered')->count());
        self::assertSame(0, Account::query()->where('number', '99999')->count());
        $this->get("/imports/{$import->id}?verdict=refused")->assertSee('You chose not to add Account 99999');

        $new = Name::query()->where('ascii', 'new.com')->sole()->load('registration');
        $registration = $new->registration;
        self::assertNotNull($registration);
        self::assertSame(
            [
                '2027-10-13',
                '2020-10-12',
                Intent::ByItself,
                Lock::On,
                'Sound Kelp Farm',
                'tide@kelp.example',
                'R-1',
                ['Colour of the folder' => 'green'],
            ],
            [
                $registration->ends_on?->iso(),
                $registration->created_on?->iso(),
                $registration->intent,
                $registration->lock,
                $new->registrant?->called,
                $new->registrant?->address,
                $registration->reference,
                $registration->raw,
            ],
        );
        self::assertSame('brought in', $registration->sources['ends']['from']);
        $holding = Holding::query()->where('name_id', $new->id)->with('client')->sole();
        self::assertSame(['Sound Kelp Farm', '2026-10-06'], [$holding->client->name, $holding->span->from?->date()]);
        self::assertSame('2028-11-02', Registration::query()->whereRelation('name', 'ascii', 'known.com')->sole()->ends_on?->iso());
        $this->get('/roll?q=new.com')->assertSee('new.com');
        $this->get('/names/new.com')->assertSee('Colour of the folder')->assertSee('Imported');
    }

    /** Spreadsheets turn an apostrophe into another by themselves. */
    public function test_an_apostrophe_of_another_kind_makes_no_second_client(): void
    {
        $client = Client::query()->create(['name' => 'Marrow’s Boatyard']);
        $this->upload("name,client,account\nboat.com,marrow's  boatyard,40718\n", $this->house->ours->id);
        $import = $this->match(Import::query()->latest('id')->firstOrFail());
        $this->get("/imports/{$import->id}")->assertDontSee('not recorded yet');
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        self::assertSame(
            $client->id,
            Holding::query()
                ->where('name_id', Name::query()->where('ascii', 'boat.com')->sole()->id)
                ->sole()->client_id,
        );
        $this->post('/clients', ['name' => "Marrow's Boatyard"])->assertSessionHasErrors('name');
        foreach (['Marrow’s Boatyard', "MARROW'S  boatyard ", 'Marrow`s Boatyard', 'Ærø & Co', 'o´clock'] as $name) {
            self::assertSame(Folded::of($name), Row::of(DB::selectOne('SELECT folded(?) AS name', [$name]))->text('name'));
        }
    }

    public function test_a_list_can_name_a_registrar_that_nobody_has_written_down(): void
    {
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent('list.csv', "name,account\nbell.com,A-1\n"),
            'registrar' => '',
            'new_registrar' => 'Oriel Names',
            'client' => $this->house->harrow->id,
        ])->assertSessionHasNoErrors();
        $import = $this->match(Import::query()->sole());
        $this->post("/imports/{$import->id}/write", ['accounts' => ['A-1']]);
        self::assertSame('Oriel Names', Account::query()->where('number', 'A-1')->sole()->load('registrar')->registrar->name);
        $this->get('/roll')->assertSee('Oriel Names')->assertSee('bell.com');
        $this->from('/imports')
            ->post('/imports', ['list' => UploadedFile::fake()->createWithContent('list.csv', "name\nbell.com\n")])
            ->assertSessionHasErrors(['registrar', 'new_registrar']);
    }

    public function test_a_list_that_calls_a_name_deleted_starts_its_last_days_and_another_ends_them(): void
    {
        $bring = function (string $statuses): Registration {
            $import = $this->match(
                $this->upload(
                    "Domain;Expiry date;Status;Account\r\ngone.com;2.11.2027;{$statuses};40718\r\nhere.com;3.11.2027;ok;40718\r\n"
                        ."there.com;31.12.2027;ok;40718\r\n",
                ),
                'dmy',
            );
            $this->post("/imports/{$import->id}/write")->assertRedirect();

            return Registration::query()->whereRelation('name', 'ascii', 'gone.com')->sole();
        };
        // A list says no day, so that on which it says so counts: at the latest thirty days from there (RFC 3915 §3.1 with the .com
        // registry agreement).
        self::assertSame('2026-10-06', $bring('redemptionPeriod, pendingDelete')->deleted_since?->date());
        $this->get('/roll?q=gone.com')->assertSee('by 5 Nov, or lost');
        self::assertSame(1, Registration::query()->whereNotNull('deleted_since')->count());
        self::assertNull($bring('ok')->deleted_since);
        $this->get('/roll?q=gone.com')->assertDontSee('or lost');
    }

    public function test_brought_in_again_there_is_nothing_to_change(): void
    {
        $list = "name,ends,created,owner,note\nbell.com,2027-11-02,2020-11-02,The Foundry,x\npeal.org,2028-01-31,,,\n";
        $first = $this->match($this->upload($list, $this->house->ours->id));
        $this->post("/imports/{$first->id}/write");
        $second = $this->match($this->upload($list, $this->house->ours->id));
        $this->get("/imports/{$second->id}")
            ->assertSee('0 new')
            ->assertSee('2 the same')
            ->assertSee('There is nothing to import');
    }

    public function test_a_file_moves_no_name_to_another_account_or_client(): void
    {
        $this->house->name('bell.com');
        $import = $this->match($this->upload("name,account,client\nbell.com,51877,Wickerby Bell Foundry\n"));
        $this->get("/imports/{$import->id}?verdict=refused")->assertSee(
            'The Roll has it in Skerry Registrations 40718. An import can’t move a name',
        );
        $import = $this->match($this->upload("name,account,client\nbell.com,40718,Harrow & Tern\n"));
        $this->get("/imports/{$import->id}?verdict=refused")->assertSee('An import can’t give a name to another client');
    }

    public function test_dates_whose_order_nothing_proves_are_asked_about(): void
    {
        $import = $this->upload("name,ends\nbell.com,03/04/2027\n", $this->house->ours->id);
        self::assertArrayNotHasKey('order', $import->matched);
        $this->from("/imports/{$import->id}")
            ->post("/imports/{$import->id}/columns", ['columns' => ['name', 'ends']])
            ->assertSessionHasErrors('order');
        $import = $this->match($import, 'mdy');
        $this->get("/imports/{$import->id}")->assertSee('4 Mar 2027');
    }

    public function test_columns_are_matched_sensibly_or_not_at_all(): void
    {
        $import = $this->upload("a,b\nbell.com,peal.com\n", $this->house->ours->id);
        $post = fn (array $columns) => $this->from("/imports/{$import->id}")->post("/imports/{$import->id}/columns", [
            'columns' => $columns,
        ]);
        $post(['raw', 'raw'])->assertSessionHasErrors('columns');
        $post(['name', 'name'])->assertSessionHasErrors('columns');
        $post(['name', 'price'])->assertSessionHasErrors();
        $bare = $this->upload("name\nbell.com\n");
        $this->from('/')
            ->post("/imports/{$bare->id}/columns", ['columns' => ['name']])
            ->assertSessionHasErrors('account');
        self::assertSame(ImportState::Uploaded, $import->refresh()->state);
    }

    public function test_what_is_no_list_gets_words_and_the_form_keeps_what_was_chosen(): void
    {
        $tries = [
            '' => 'empty',
            "PK\x03\x04rest" => 'a broken archive',
            "name,ends\n" => 'nothing below it',
            "name\0,ends\nx\0\n" => 'NUL bytes',
            '%PDF-1.7' => 'a PDF',
        ];
        foreach ($tries as $content => $why) {
            $this->from('/imports')
                ->post('/imports', [
                    'list' => UploadedFile::fake()->createWithContent('list.csv', $content),
                    'registrar' => $this->house->skerry->id,
                ])
                ->assertSessionHasErrors('list')
                ->assertSessionHasInput('registrar', $this->house->skerry->id);
            $this->get('/imports')->assertSee($why);
        }
        config(['house.upload_limit' => 1000]);
        $this->from('/imports')
            ->post('/imports', [
                'list' => UploadedFile::fake()->createWithContent('list.csv', str_repeat('bell.com,', 500)),
                'registrar' => $this->house->skerry->id,
            ])
            ->assertSessionHasErrors('list');
        self::assertSame(0, Import::query()->count());
        self::assertSame([], Storage::allFiles());
    }

    public function test_a_list_that_was_being_written_when_its_worker_died_goes_on_and_repeats_nothing(): void
    {
        config(['house.import_chunk' => 10]);
        $rows = implode("\n", array_map(fn (int $number): string => "bell-{$number}.com,2027-11-02", range(1, 35)));
        $import = $this->match($this->upload("name,ends\n{$rows}\n", $this->house->ours->id));
        $import->update(['state' => ImportState::Writing, 'rows_total' => 35]);
        $chunks = 0;
        DB::listen(function (QueryExecuted $query) use (&$chunks): void {
            if (str_starts_with($query->sql, 'update "imports" set "rows_written"') && ++$chunks === 3) {
                throw new RuntimeException('killed');
            }
        });
        try {
            app(WriteImport::class)->handle($import);
            self::fail('It was not killed.');
        } catch (RuntimeException $e) {
            self::assertSame('killed', $e->getMessage());
        }
        self::assertSame([20, 20, 20], [Name::query()->count(), Holding::query()->count(), DB::table('standings')->count()]);
        app(WriteImport::class)->handle($import->fresh() ?? $import);
        self::assertSame(
            [35, 35, 35, 35],
            [Name::query()->count(), Holding::query()->count(), DB::table('standings')->count(), $import->fresh()?->rows_written],
        );
        self::assertSame(35, DB::table('log')->where('event', 'brought_in')->count());
    }

    public function test_a_list_that_cannot_go_on_is_set_aside_and_the_next_one_is_written(): void
    {
        [$stuck, $next] = array_map(
            function (string $name): Import {
                $import = $this->match($this->upload("name,ends\n{$name},2027-11-02\n", $this->house->ours->id));
                $import->update(['state' => ImportState::Writing, 'rows_total' => 1]);

                return $import;
            },
            ['bell.com', 'peal.org'],
        );
        $broken = new ArrayObject([$stuck->id]);
        DB::listen(function (QueryExecuted $query) use ($broken): void {
            if (
                str_starts_with($query->sql, 'update "imports" set "rows_written"') &&
                in_array(array_slice($query->bindings, -1)[0] ?? null, $broken->getArrayCopy(), true)
            ) {
                throw new RuntimeException('It can’t be written.');
            }
        });
        foreach ([$stuck, $next, $stuck] as $import) {
            WorkImport::dispatchSync($import->id);
        }
        self::assertSame([ImportState::Writing, ImportState::Done], [$stuck->refresh()->state, $next->refresh()->state]);
        $setback = Setback::query()->sole();
        self::assertSame(
            [SetbackKind::Import, $stuck->id, 1],
            [$setback->kind, $setback->subject_id, $setback->failures],
            'it rests, and is not tried again at once',
        );
        $this->get("/imports/{$stuck->id}")
            ->assertOk()
            ->assertSee('The import stopped');
        $this->actingAs($this->house->owner)
            ->get('/failed-work')
            ->assertOk()
            ->assertSee('It can’t be written.')
            ->assertSee(route('imports.show', $stuck));
        $broken->exchangeArray([]);
        $this->post("/failed-work/{$setback->id}")->assertRedirect();
        WorkImport::dispatchSync($stuck->id);
        self::assertSame([ImportState::Done, null, 0], [$stuck->refresh()->state, $stuck->failure, Setback::query()->count()]);
    }

    public function test_a_list_of_everything_tells_what_is_missing_and_deletes_nothing(): void
    {
        foreach (['bell.com', 'peal.org', 'date.net'] as $name) {
            $this->house->name($name);
        }
        $this->house->name('elsewhere.com', $this->house->theirs);
        $this->from('/imports')
            ->post('/imports', [
                'list' => UploadedFile::fake()->createWithContent('list.csv', "name\nbell.com\n"),
                'registrar' => $this->house->skerry->id,
                'whole' => '1',
            ])
            ->assertSessionHasErrors('account');

        $import = $this->bring("name,ends\nbell.com,2027-11-02\ndate.net,31/31/2027\n", whole: true);
        $this->get("/imports/{$import->id}?verdict=missing")
            ->assertSee('1 missing')
            ->assertSee('peal.org')
            ->assertDontSee('elsewhere.com');
        self::assertSame(4, Name::query()->count());
        $this->get('/names/peal.org')->assertSee('It was missing from the full list of its account on 6 Oct');
        $this->get('/names/date.net')->assertDontSee('It was missing from the full list');
        $this->get('/roll?finding=lifecycle.not_in_list')->assertSee('peal.org')->assertDontSee('bell.com');

        // A list that has it again takes the finding away.
        $again = $this->bring("name\npeal.org\n");
        $this->get("/imports/{$again->id}?verdict=changed")->assertSeeInOrder([
            'peal.org',
            'missing from the list since',
            '6 Oct 2026',
            'nothing',
        ]);
        $this->get('/names/peal.org')->assertDontSee('It was missing from the full list');
    }

    public function test_a_list_is_taken_back_as_a_whole(): void
    {
        $known = $this->house->name(
            'bell.com',
            facts: [
                'ends_on' => Instant::of('2027-11-02T18:30:05Z'),
                'ends_is_day' => false,
                'registrant' => 'The Foundry',
                'servers' => ['ns1.wire.example'],
                'raw' => ['folder' => 'green'],
            ],
        );
        $this->house->name('peal.org');
        app(GiveWords::class)->give([$known->id], ['kept']);
        $facts = ['ends_on', 'ends_is_day', 'created_on', 'lock', 'servers', 'raw', 'own_renewal', 'own_currency', 'intent'];
        $before = (array) DB::table('registrations')->where('name_id', $known->id)->first($facts);
        $list =
            "name,ends,owner,lock,ns,folder,price,words,account,client\nbell.com,2029-11-02,Somebody,on,ns9.wire.example,red,\"1.200,"
                ."50\",\"kept, more\",,\nnew.com,2028-01-31,,,,,,fresh,A-9,Sound Kelp Farm\n";
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent('list.csv', $list),
            'registrar' => $this->house->skerry->id,
            'account' => $this->house->ours->id,
            'client' => $this->house->harrow->id,
            'whole' => '1',
        ]);
        $import = $this->match(Import::query()->sole());
        $clock = app(TradeClock::class);
        $clock->set($clock->now()->plusSeconds(3_600));
        $this->post("/imports/{$import->id}/write", ['clients' => ['Sound Kelp Farm'], 'accounts' => ['A-9']]);
        self::assertSame('Somebody', Registrant::query()->findOrFail($known->id)->called);
        self::assertSame(3, $import->refresh()->rows_written);
        self::assertSame(
            ['1200.50', 'GBP'],
            array_values(
                (array) DB::table('registrations')
                    ->where('name_id', $known->id)
                    ->first(['own_renewal', 'own_currency']),
            ),
        );
        self::assertSame('new.com', Name::query()->whereHas('words', fn ($words) => $words->where('label', 'fresh'))->sole()->ascii);
        $this->get('/names/peal.org')->assertSee('It was missing from the full list');

        $this->get("/imports/{$import->id}")->assertSee('Undo the whole import');
        $clock->set($clock->now()->plusSeconds(3_600));
        $this->post("/imports/{$import->id}/take-back")->assertRedirect();
        self::assertSame([ImportState::Undone, 0], [$import->refresh()->state, $import->rows_written]);
        self::assertSame($before, (array) DB::table('registrations')->where('name_id', $known->id)->first($facts));
        self::assertSame('The Foundry', Registrant::query()->findOrFail($known->id)->called);
        self::assertSame(['The Foundry'], ContactVersion::query()->pluck('called')->all(), 'the contact that the list made is gone');
        self::assertSame(
            [true],
            DB::table('roles')
                ->where('name_id', $known->id)
                ->selectRaw('upper_inf(span) AND lower(span) < ?::timestamptz AS whole', [
                    $clock
                        ->now()
                        ->plusSeconds(-3_600)
                        ->isoSecond(),
                ])
                ->pluck('whole')
                ->all(),
            'the role goes on as if nothing had been',
        );
        self::assertSame(['kept'], app(GiveWords::class)->of([$known->id])[$known->id]);
        self::assertSame(0, Name::query()->where('ascii', 'new.com')->count());
        self::assertSame(
            [0, 0],
            [Client::query()->where('name', 'Sound Kelp Farm')->count(), Account::query()->where('number', 'A-9')->count()],
        );
        $this->get('/names/peal.org')->assertDontSee('It was missing from the full list');
        $this->get("/imports/{$import->id}")->assertSee('What the import added is gone');
        $this->post("/imports/{$import->id}/take-back")->assertForbidden();
    }

    public function test_taking_back_that_was_killed_goes_on_and_a_reader_may_not(): void
    {
        config(['house.import_chunk' => 10]);
        $rows = implode("\n", array_map(fn (int $number): string => "bell-{$number}.com,2027-11-02", range(1, 35)));
        $import = $this->bring("name,ends\n{$rows}\nbad_name.com,2027-11-02\n");
        $this->actingAs($this->house->reader)
            ->post("/imports/{$import->id}/take-back")
            ->assertForbidden();
        $import->update(['state' => ImportState::Undoing]);
        $chunks = 0;
        DB::listen(function (QueryExecuted $query) use (&$chunks): void {
            if (str_starts_with($query->sql, 'update "imports" set "rows_written"') && ++$chunks === 3) {
                throw new RuntimeException('killed');
            }
        });
        try {
            app(UndoImport::class)->handle($import);
            self::fail('It was not killed.');
        } catch (RuntimeException $e) {
            self::assertSame('killed', $e->getMessage());
        }
        self::assertSame([15, 15, 15], [Name::query()->count(), Holding::query()->count(), DB::table('standings')->count()]);
        app(UndoImport::class)->handle($import->fresh() ?? $import);
        self::assertSame(
            [0, 0, 0, 0],
            [Name::query()->count(), Holding::query()->count(), DB::table('standings')->count(), $import->fresh()?->rows_written],
        );
        self::assertSame(1, DB::table('import_rows')->where('verdict', 'refused')->count());
    }

    public function test_what_is_touched_while_a_list_is_taken_back_stays_and_is_told(): void
    {
        $import = $this->bring("name,ends\nbell.com,2027-11-02\npeal.org,2027-11-02\n");
        $import->update(['state' => ImportState::Undoing]);
        Registration::query()->whereRelation('name', 'ascii', 'bell.com')->increment('version');
        app(UndoImport::class)->handle($import);
        self::assertSame(['bell.com'], Name::query()->pluck('ascii')->all());
        $this->actingAs($this->house->clerk)
            ->get("/imports/{$import->id}")
            ->assertSee('One name was changed while the import was undone');
    }

    public function test_of_two_writers_each_writes_its_own_lines_and_the_last_says_that_it_is_done(): void
    {
        config(['house.import_chunk' => 10]);
        $rows = implode("\n", array_map(fn (int $number): string => "bell-{$number}.com,2027-11-02", range(1, 25)));
        $import = $this->match($this->upload("name,ends\n{$rows}\n", $this->house->ours->id));
        $import->update(['state' => ImportState::Writing, 'rows_total' => 25]);
        $other = Import::query()->findOrFail($import->id);
        // The second one begins while the first is between two chunks.
        $begun = false;
        DB::listen(function (QueryExecuted $query) use (&$begun, $other): void {
            if (! $begun && DB::transactionLevel() === 2 && str_starts_with($query->sql, 'update "imports" set "rows_written"')) {
                $begun = true;
                app(WriteImport::class)->handle($other);
            }
        });
        app(WriteImport::class)->handle($import);
        self::assertSame(
            [25, 25, 25],
            [Name::query()->count(), $import->refresh()->rows_written, DB::table('log')->where('event', 'brought_in')->count()],
        );
        self::assertSame(ImportState::Done, $import->state);
    }

    public function test_what_lists_there_were_does_not_make_the_next_one_read_all_of_itself_for_each_line(): void
    {
        $asked = [];
        DB::listen(function (QueryExecuted $query) use (&$asked): void {
            $asked[] = [$query->sql, $query->bindings];
        });
        $this->match($this->upload("domain;ends\nbell.com;2027-11-02\n", $this->house->ours->id));
        [$lookup] = array_values(array_filter($asked, fn (array $query): bool => str_contains($query[0], 'SELECT a.ascii')));
        // PostgreSQL knows the lists that there were, and takes one that it doesn't know to be empty.
        DB::statement('CREATE TEMP TABLE import_rows (LIKE public.import_rows INCLUDING ALL)');
        DB::statement(
            "INSERT INTO import_rows (import_id, line, verdict, ascii) SELECT import_id, line, 'new', 'bell-'||line||'.com'
                FROM generate_series(1001, 1003) import_id, generate_series(2, 2001) line",
        );
        DB::statement('ANALYZE import_rows');
        $plan = implode(
            "\n",
            array_map(fn (Row $line): string => $line->text('QUERY PLAN'), Row::all(DB::select('EXPLAIN '.$lookup[0], $lookup[1]))),
        );
        self::assertStringContainsString('Index Cond: (ascii = a.ascii)', $plan);
    }

    public function test_a_whole_list_without_a_readable_line_deletes_nothing(): void
    {
        $this->house->name('bell.com');
        $import = $this->bring("name,ends\nnot a name,2027-11-02\n", whole: true);
        $this->get("/imports/{$import->id}?verdict=missing")
            ->assertSee('1 missing')
            ->assertSee('bell.com');
        self::assertSame(1, Name::query()->count());
        $this->post("/imports/{$import->id}/take-back");
        $this->get('/names/bell.com')->assertDontSee('It was missing from the full list');
    }

    public function test_what_something_else_has_touched_keeps_a_list_from_being_taken_back(): void
    {
        $import = $this->bring("name,ends\nbell.com,2027-11-02\npeal.org,2027-11-02\n");
        $this->post('/names/bell.com/notes', ['note' => 'Asked for by telephone'])->assertSessionHasNoErrors();
        $this->get("/imports/{$import->id}")
            ->assertSee('It can no longer be undone as a whole')
            ->assertSee('bell.com')
            ->assertDontSee('Undo the whole import');
        $this->post("/imports/{$import->id}/take-back");
        self::assertSame([ImportState::Done, 2], [$import->refresh()->state, Name::query()->count()]);
    }

    public function test_columns_are_remembered_by_registrar_and_headings(): void
    {
        $list = "what,when,colour\nbell.com,03/04/2027,x\n";
        $first = $this->upload($list, $this->house->ours->id);
        $this->post("/imports/{$first->id}/columns", [
            'columns' => ['name', 'ends', 'reference'],
            'order' => 'mdy',
        ])->assertSessionHasNoErrors();
        $second = $this->upload($list, $this->house->ours->id);
        self::assertEquals(['columns' => ['name', 'ends', 'reference'], 'order' => 'mdy'], $second->matched);
        $this->get("/imports/{$second->id}")->assertSee('Matched as in your last list');
        self::assertSame(
            ['name', 'ends', 'raw'],
            $this->upload("what,when,flavour\nbell.com,03/04/2027,x\n", $this->house->ours->id)->matched['columns'] ?? [],
        );
    }

    public function test_a_spreadsheet_is_brought_in_like_any_list(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'acre-sheet-');
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        foreach ([['Domain', 'Expires', 'Price'], ['glockenwärts.com', 46692, 12.5], ['peal.org', '02/11/2027', 'CHF 9']] as $row) {
            $writer->addRow(WriterEntityFactory::createRowFromArray($row));
        }
        $writer->close();
        $import = $this->match($this->upload((string) file_get_contents($path), $this->house->ours->id, 'list.xlsx'), 'dmy');
        unlink($path);
        $this->post("/imports/{$import->id}/write");
        $found = Registration::query()
            ->with('name')
            ->orderBy('id')
            ->get()
            ->map(fn (Registration $one): array => [$one->name?->unicode, $one->ends_on?->iso(), $one->own_renewal, $one->own_currency])
            ->all();
        self::assertSame([['glockenwärts.com', '2027-11-01', '12.50', 'GBP'], ['peal.org', '2027-11-02', '9.00', 'CHF']], $found);
        $this->get('/names/peal.org')->assertSee('CHF');
    }
}
