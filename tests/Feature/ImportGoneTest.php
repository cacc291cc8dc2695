<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Registrar;
use App\Models\Registration;
use App\Support\Row;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A list read in another way, discarded before it was written, and taken back after: what it brought is gone then, all of it. */
final class ImportGoneTest extends TestCase
{
    /** The list itself, how its columns were matched, and the log stay: they are what one looks up later. */
    private const STAYS = [
        'imports',
        'import_rows',
        'import_habits',
        'log',
        'cache',
        'cache_locks',
        'jobs',
        'job_batches',
        'sessions',
        'migrations',
    ];

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->house = new House();
        $this->actingAs($this->house->clerk);
    }

    /** @param  array<string, mixed>  $with */
    private function upload(string $content, array $with = [], string $file = 'list.csv'): Import
    {
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent($file, $content),
            'registrar' => $this->house->skerry->id,
            'client' => $this->house->harrow->id,
            ...$with,
        ])->assertSessionHasNoErrors();

        return Import::query()->latest('id')->firstOrFail();
    }

    /** @return array<string, int> rows of each table that a list can add to */
    private static function counts(): array
    {
        $counts = [];
        foreach (
            Row::all(
                DB::select(
                    "SELECT c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
                        WHERE c.relkind IN ('r', 'p') AND NOT c.relispartition AND n.nspname = current_schema() ORDER BY 1",
                ),
            ) as $table
        ) {
            if (! in_array($table->text('name'), self::STAYS, true)) {
                $counts[$table->text('name')] = DB::table($table->text('name'))->count();
            }
        }

        return $counts;
    }

    /** @return array<string, array{string, list<string>}> */
    public static function lists(): array
    {
        return [
            'names with all that a list can say' => [
                'name,ends,created,owner,owner '
                    ."email,lock,ns,folder,price,words,account,client,status,privacy\nnew.com,2027-11-02,2020-11-02,Quince "
                    .'Foundry,ledger@quince.example,on,ns9.wire.example,red,12.00,"fresh, more",A-9,Sound Kelp '
                    ."Farm,ok,yes\nnewer.co.uk,2027-11-02,2020-11-02,Quince "
                    ."Foundry,ledger@quince.example,off,ns9.wire.example,red,12.00,fresh,A-9,Sound Kelp Farm,ok,no\n",
                ['A-9'],
            ],
            'a name that is late and one that its registrar calls deleted' => [
                "name,ends,status,account\nlate.com,2026-09-20,,40718\ngone.com,2026-08-20,redemptionPeriod,40718\n",
                [],
            ],
            'a name that stands already, changed' => [
                "name,ends,owner,owner email,words,folder,account\nbell.com,2029-11-02,Somebody Else,else@bell.example,loud,red,40718\n",
                [],
            ],
        ];
    }

    /** @param  list<string>  $accounts */
    #[DataProvider('lists')]
    public function test_a_list_that_was_taken_back_leaves_nothing(string $list, array $accounts): void
    {
        $this->house->name('bell.com', facts: ['registrant' => 'The Foundry', 'raw' => ['folder' => 'green']]);
        $this->get('/rounds')->assertOk();
        $before = self::counts();
        $import = $this->upload($list, ['registrar' => '', 'new_registrar' => 'Skerry Registrations', 'new_account' => 'A-1']);
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        $this->post("/imports/{$import->id}/write", ['clients' => ['Sound Kelp Farm'], 'accounts' => $accounts])->assertRedirect();
        $this->get('/rounds')->assertOk();
        self::assertGreaterThan(0, $import->refresh()->rows_written);
        self::assertNotSame($before, self::counts());
        $this->post("/imports/{$import->id}/take-back")->assertRedirect();
        self::assertSame([], array_diff_assoc(self::counts(), $before));
        self::assertSame($before, self::counts());
    }

    public function test_a_discarded_list_leaves_nothing(): void
    {
        $before = self::counts();
        $import = $this->upload("name,ends\nbell.com,2027-11-02\n", [
            'registrar' => '',
            'new_registrar' => 'Oriel Names',
            'new_account' => 'A-1',
        ]);
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        self::assertSame(['Oriel Names'], Registrar::query()->whereRelation('accounts', 'number', 'A-1')->pluck('name')->all());
        $this->get("/imports/{$import->id}")->assertSee('Discard this list');
        $this->actingAs($this->house->reader)
            ->delete("/imports/{$import->id}")
            ->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->delete("/imports/{$import->id}")
            ->assertRedirect('/imports');
        self::assertSame($before, self::counts());
        self::assertSame([0, 0], [Import::query()->count(), DB::table('import_rows')->count()]);
        Storage::disk()->assertMissing($import->path);
        $this->actingAs($this->house->owner)->get('/log')->assertSee('A list was discarded');
    }

    public function test_a_discarded_list_leaves_what_others_use_by_now(): void
    {
        $import = $this->upload("name\nbell.com\n", ['registrar' => '', 'new_registrar' => 'Oriel Names', 'new_account' => 'A-1']);
        $account = Account::query()->where('number', 'A-1')->sole();
        $this->house->name('peal.com', account: $account);
        $this->delete("/imports/{$import->id}")->assertRedirect('/imports');
        self::assertSame(['Oriel Names'], Registrar::query()->whereKey($account->registrar_id)->pluck('name')->all());
    }

    public function test_a_written_list_is_not_discarded(): void
    {
        $import = $this->upload("name\nbell.com\n", ['account' => $this->house->ours->id]);
        $this->post("/imports/{$import->id}/columns", ['columns' => $import->matched['columns'] ?? [], 'order' => 'ymd']);
        $this->post("/imports/{$import->id}/write");
        $this->delete("/imports/{$import->id}")->assertForbidden();
        $this->get("/imports/{$import->id}")->assertDontSee('Discard this list');
    }

    public function test_a_file_that_cannot_be_read_leaves_no_registrar(): void
    {
        $before = self::counts();
        $this->from('/imports')
            ->post('/imports', [
                'list' => UploadedFile::fake()->createWithContent('list.xlsx', "PK\x03\x04 broken"),
                'registrar' => '',
                'new_registrar' => 'Oriel Names',
                'new_account' => 'A-1',
                'client' => $this->house->harrow->id,
            ])
            ->assertSessionHasErrors('list')
            ->assertSessionHasInput('new_registrar', 'Oriel Names');
        self::assertSame([$before, []], [self::counts(), Storage::disk()->allFiles('imports')]);
    }

    public function test_the_account_is_chosen_or_made_where_importing_asks_for_it(): void
    {
        $import = $this->upload("name,ends\nbell.com,2027-11-02\n");
        $columns = ['columns' => $import->matched['columns'] ?? [], 'order' => 'ymd'];
        $this->post("/imports/{$import->id}/columns", $columns)->assertSessionHasErrors('account');
        $this->get("/imports/{$import->id}")
            ->assertSee('Account for rows without one')
            ->assertSee('40718');
        $this->post("/imports/{$import->id}/columns", [...$columns, 'account' => $this->house->ours->id])->assertSessionHasNoErrors();
        self::assertSame($this->house->ours->id, $import->refresh()->account_id);
        $second = $this->upload("name,ends\npeal.com,2027-11-02\n");
        $this->post("/imports/{$second->id}/columns", [...$columns, 'new_account' => 'B-2'])->assertSessionHasNoErrors();
        $made = Account::query()->where('number', 'B-2')->sole();
        self::assertSame(
            [$made->id, $this->house->skerry->id, ['accounts' => [$made->id]]],
            [$second->refresh()->account_id, $made->registrar_id, $second->made],
        );
    }

    public function test_a_list_is_read_again_in_another_way(): void
    {
        $import = $this->upload("bell.com,M\xe8re\npeal.com,\xe9t\xe9\n", ['account' => $this->house->ours->id]);
        self::assertFalse($import->shape['has_headings'] ?? true);
        self::assertSame('Mère', $import->shape['samples'][0][1]);
        $this->get("/imports/{$import->id}")
            ->assertSee('How the file is read')
            ->assertSee('is a name like the rows below');
        $this->post("/imports/{$import->id}/reading", ['headings' => '1', 'encoding' => 'Windows-1251'])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/imports/{$import->id}/columns");
        self::assertSame(
            [['bell.com', 'Mиre'], [['peal.com', 'йtй']]],
            [$import->refresh()->shape['headings'], array_values($import->shape['samples'])],
        );
        $this->from("/imports/{$import->id}")
            ->post("/imports/{$import->id}/reading", ['headings' => 'perhaps', 'encoding' => ['x']])
            ->assertSessionHasErrors(['headings', 'encoding']);
    }

    public function test_the_sheet_is_chosen(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'acre-sheets-').'.xlsx';
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        $writer->addRow(WriterEntityFactory::createRowFromArray(['Notes of last year']));
        $writer->addNewSheetAndMakeItCurrent()->setName('Names');
        $writer->addRow(WriterEntityFactory::createRowFromArray(['Domain', 'Expiry date']));
        $writer->addRow(WriterEntityFactory::createRowFromArray(['bell.com', '2027-11-02']));
        $writer->close();
        $import = $this->upload((string) file_get_contents($path), ['account' => $this->house->ours->id], 'list.xlsx');
        unlink($path);
        self::assertSame('Names', $import->shape['sheet'] ?? null, 'the first sheet has no list');
        self::assertCount(2, $import->shape['sheets'] ?? []);
        $this->post("/imports/{$import->id}/reading", ['sheet' => 'Names', 'headings' => '1'])->assertSessionHasNoErrors();
        self::assertSame(['Domain', 'Expiry date'], $import->refresh()->shape['headings']);
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        $this->get("/imports/{$import->id}")->assertSee('1 new');
        $this->post("/imports/{$import->id}/reading", ['sheet' => 'No such sheet', 'headings' => '1'])->assertSessionHasErrors();
    }

    public function test_an_order_of_dates_that_their_values_prove_is_not_remembered_as_chosen(): void
    {
        $orders = function (string $day): array {
            $import = $this->upload("name,ends\nbell.com,{$day}\n", ['account' => $this->house->ours->id]);
            $this->post("/imports/{$import->id}/columns", [
                'columns' => $import->matched['columns'] ?? [],
                'order' => 'dmy',
            ])->assertSessionHasNoErrors();

            return $this->upload("name,ends\npeal.com,03/04/2027\n", ['account' => $this->house->ours->id])->matched;
        };
        self::assertArrayNotHasKey('order', $orders('31/01/2027'));
        self::assertSame('dmy', $orders('03/04/2027')['order'] ?? null);
    }

    public function test_whoever_overrides_what_a_registry_gave_says_why(): void
    {
        $name = $this->house->name('bell.com', facts: ['sources' => ['ends_on' => ['from' => 'directory', 'at' => '2026-10-01']]]);
        $this->house->name('peal.com');
        $write = function (string $list, string $because): Import {
            $import = $this->upload($list, ['account' => $this->house->ours->id]);
            $this->post("/imports/{$import->id}/columns", [
                'columns' => $import->matched['columns'] ?? [],
                'order' => 'ymd',
            ])->assertSessionHasNoErrors();
            $this->post("/imports/{$import->id}/write", ['because' => $because]);

            return $import->refresh();
        };
        // What a person wrote is nobody's but theirs.
        self::assertSame(ImportState::Done, $write("name,ends\npeal.com,2029-01-01\n", '')->state);
        $import = $write("name,ends\nbell.com,2029-11-02\npeal.com,2029-02-01\n", ' ');
        self::assertSame(ImportState::Read, $import->state);
        $this->get("/imports/{$import->id}")
            ->assertSee('One row changes what a registry gave')
            ->assertSee('Enter why the list is right: it changes what a registry gave.');
        $this->post("/imports/{$import->id}/write", ['because' => 'paid by telephone'])->assertSessionHasNoErrors();
        self::assertSame('2029-11-02', Registration::query()->where('name_id', $name->id)->sole()->ends_on?->date());
        $this->get('/names/bell.com/history')->assertSee('paid by telephone');
    }
}
