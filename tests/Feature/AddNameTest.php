<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Holding;
use App\Models\Import;
use App\Models\Name;
use App\Models\Registrar;
use App\Models\Registration;
use App\Support\Row;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A first name by hand, and a first list in a house that knows no account. */
final class AddNameTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    /** @return array<string, string|int> */
    private function form(string $name): array
    {
        return [
            'name' => $name,
            'account' => $this->house->ours->id,
            'client' => $this->house->foundry->id,
            'created_on' => '2020-11-02',
            'ends_on' => '2026-10-20',
            'intent' => 'when_told',
            'registrant' => 'Bell Foundry',
            'mailbox' => 'ledger@bells.example',
            'servers' => "ns1.a.example\nns2.a.example",
        ];
    }

    public function test_one_name_is_added_by_hand_and_stands_everywhere(): void
    {
        $this->actingAs($this->house->clerk)
            ->get('/roll')
            ->assertSee('href="'.route('names.create').'"', false);
        $this->get('/rounds')->assertSee('Add a name');
        $this->get('/add-name')->assertOk()->assertSee('Skerry Registrations 40718')->assertSee('Wickerby Bell Foundry');
        $this->post('/add-name', $this->form('https://www.glockenwärts.com/peal?x'))
            ->assertSessionHasNoErrors()
            ->assertRedirect('/names/xn--glockenwrts-s8a.com');
        $this->get('/names/xn--glockenwrts-s8a.com')->assertSeeInOrder([
            'glockenwärts.com',
            'Wickerby Bell Foundry',
            '40718',
            'Ends on 20 Oct',
            'Bell Foundry',
            'ns1.a.example',
        ]);
        $registration = Registration::query()->sole();
        self::assertSame(
            ['typed', '2020-11-02', '2026-10-20'],
            [
                Row::of((object) $registration->sources['ends_on'])->text('from'),
                $registration->created_on?->iso(),
                $registration->ends_on?->iso(),
            ],
        );
        self::assertSame($this->house->ours->id, Holding::query()->sole()->account_id);
        $this->get('/rounds')->assertSee('glockenwärts.com');
        $this->get('/names/xn--glockenwrts-s8a.com/history')->assertSee('Added by hand')->assertSee('Clerk Tern');
        $this->from('/add-name')
            ->post('/add-name', $this->form('glockenwärts.com'))
            ->assertSessionHasErrors(['name' => 'glockenwärts.com is on the Roll already.'])
            ->assertSessionHasInput('registrant', 'Bell Foundry');
        self::assertSame(1, Name::query()->count());
        $this->actingAs($this->house->reader)->get('/add-name')->assertForbidden();
        $this->post('/add-name', $this->form('bell.com'))->assertForbidden();
    }

    #[TestWith(['name', 'no name'])]
    #[TestWith(['name', 'com'])]
    #[TestWith(['name', 'co.uk'])]
    #[TestWith(['account', '999999'])]
    #[TestWith(['client', 'x'])]
    #[TestWith(['ends_on', '2019-01-01'])]
    #[TestWith(['intent', 'perhaps'])]
    #[TestWith(['mailbox', 'ledger at bells'])]
    #[TestWith(['servers', 'not_a_host..'])]
    public function test_what_cannot_be_read_is_refused_and_nothing_is_added(string $field, string $typed): void
    {
        $this->actingAs($this->house->clerk)
            ->from('/add-name')
            ->post('/add-name', [$field => $typed] + $this->form('bell.com'))
            ->assertSessionHasErrors($field)
            ->assertSessionHasInput($field, $typed);
        self::assertSame([0, 0], [Name::query()->count(), Holding::query()->count()]);
    }

    public function test_a_name_that_is_watched_or_was_let_go_is_told_apart(): void
    {
        $gone = $this->house->name('gone.com');
        DB::update("UPDATE holdings SET span = '[2024-06-02,2026-01-01)' WHERE name_id = ?", [$gone->id]);
        DB::update("UPDATE registrations SET span = '[2020-11-02,2026-01-01)' WHERE name_id = ?", [$gone->id]);
        $watched = Name::query()->create(['ascii' => 'watched.com', 'unicode' => 'watched.com', 'suffix' => 'com']);
        DB::table('watchings')->insert([
            'name_id' => $watched->id,
            'client_id' => $this->house->foundry->id,
            'why' => 'A rival',
            'since' => '2026-01-01',
            'by_id' => $this->house->clerk->id,
            'registrar' => 'Elsewhere Names',
            'created_on' => '2019-03-04',
            'ends_on' => '2027-03-04',
            'servers' => '["ns1.rival.example"]',
        ]);
        $this->actingAs($this->house->clerk)->get('/add-name?name=watched.com')
            ->assertSee('So far it is only watched.')
            ->assertSeeInOrder(['value="watched.com"', 'value="2019-03-04"', 'value="2027-03-04"', 'ns1.rival.example'], false)
            ->assertSee('value="'.$this->house->foundry->id.'" selected', false);
        $this->get('/add-name?name=gone.com')->assertDontSee('So far it is only watched.');
        $this->get('/add-name?name[]=watched.com')->assertOk();
        $this->get("/deeds/transfer?name=watched.com&account={$this->house->ours->id}")->assertSee('Enter the account it is in');
        $this->post('/add-name', $this->form('watched.com'))->assertSessionHasNoErrors();
        self::assertSame(0, DB::table('watchings')->count(), 'held, it is watched no more');
        $this->post('/add-name', ['created_on' => '2026-02-01'] + $this->form('gone.com'))->assertSessionHasNoErrors();
        self::assertSame(2, Registration::query()->where('name_id', $gone->id)->count(), 'with its history');
    }

    /** The only path of an empty house: no registrar, no account, and a list that names none. */
    public function test_a_first_list_names_its_account_beside_it(): void
    {
        Holding::query()->delete();
        Account::query()->delete();
        DB::table('prices')->delete();
        Registrar::query()->delete();
        $this->actingAs($this->house->clerk)->get('/add-name')->assertSee('Add an account first');
        $this->get('/imports')->assertOk()->assertSee('Account number');
        $list = fn (): UploadedFile => UploadedFile::fake()->createWithContent(
            'mine.csv',
            "domain,expires\nbell.com,2027-01-01\npeal.com,2027-02-01\n",
        );
        $this->post('/imports', ['list' => $list(), 'new_registrar' => 'Farshore', 'new_account' => ' F-1 ', 'whole' => '1'])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $import = Import::query()->sole();
        self::assertSame(
            ['F-1', 'ours', 'Farshore'],
            [$import->account?->number, $import->account?->access, $import->account?->registrar->name],
        );
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        self::assertSame(2, Holding::query()->where('account_id', $import->account_id)->count());
        $this->get('/rounds')->assertOk()->assertDontSee('Nothing is on the Roll yet');
        // A second list of the same account finds it, however it is written.
        $this->post('/imports', ['list' => $list(), 'new_registrar' => 'farshore', 'new_account' => 'f-1'])->assertSessionHasNoErrors();
        self::assertSame([1, 1], [Account::query()->count(), Registrar::query()->count()]);
        $this->post('/imports', ['list' => $list(), 'new_registrar' => 'farshore', 'whole' => '1'])->assertSessionHasErrors('account');
        $this->post('/imports', ['list' => $list(), 'new_registrar' => 'farshore', 'new_account' => ['x']])->assertSessionHasErrors(
            'new_account',
        );
    }
}
