<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Models\Account;
use App\Models\CalendarAddress;
use App\Models\Client;
use App\Models\Holding;
use App\Models\Import;
use App\Models\Name;
use App\Models\SavedView;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** Two entries of one client become one, and nothing goes on meaning the other. */
final class MergeClientsTest extends TestCase
{
    private House $house;

    private Client $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->other = Client::query()->create([
            'name' => 'Wickerby Bell Foundry Ltd',
            'mailbox' => 'office@bells.example',
            'remarks' => 'Rings on Mondays.',
        ]);
    }

    public function test_all_that_was_the_others_is_the_kept_ones(): void
    {
        $kept = $this->house->foundry;
        $name = $this->house->name('bell.com', client: $this->other);
        $account = $this->house->account('7', $this->other);
        DB::table('notes')->insert(['client_id' => $this->other->id, 'user_id' => $this->house->clerk->id, 'text' => 'pays late']);
        SavedView::query()->create([
            'user_id' => $this->house->clerk->id,
            'name' => 'theirs',
            'shared' => false,
            'sentence' => ['words' => ['client' => $this->other->id], 'looks' => []],
        ]);
        CalendarAddress::query()->create([
            'user_id' => $this->house->clerk->id,
            'sentence' => ['client' => $this->other->id],
            'digest' => CalendarAddress::digest('x'),
        ]);
        $settled = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'give_to_client',
            [$name->id],
            ['client' => $this->house->harrow->id],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $settled);
        $coming = app(PrepareDocket::class)->handle(
            $this->house->clerk,
            House::token(),
            'give_to_client',
            [$name->id],
            ['client' => $this->other->id],
            [$name->id],
        );

        $this->actingAs($this->house->clerk)
            ->get("/clients/{$kept->id}/merge")
            ->assertForbidden();
        $this->post("/clients/{$kept->id}/merge", ['other' => $this->other->id])->assertForbidden();
        $this->actingAs($this->house->steward)
            ->get("/clients/{$kept->id}")
            ->assertSee('Merge');
        $this->get("/clients/{$kept->id}/merge")
            ->assertSee('Similar names')
            ->assertSee('Wickerby Bell Foundry Ltd');
        $this->get("/clients/{$kept->id}/merge?other={$this->other->id}")->assertSeeInOrder([
            'From Wickerby Bell Foundry Ltd to Wickerby Bell Foundry',
            'one name of the past',
            'one account',
            'one note',
            'kept as another spelling',
        ]);
        $this->post("/clients/{$kept->id}/merge", ['other' => $this->other->id])->assertRedirect("/clients/{$kept->id}");

        self::assertSame(0, Holding::query()->where('client_id', $this->other->id)->count());
        self::assertSame($kept->id, Account::query()->findOrFail($account->id)->owner_id);
        self::assertSame(
            [$kept->id, $kept->id],
            [SavedView::query()->sole()->sentence['words']['client'], CalendarAddress::query()->sole()->sentence['client']],
        );
        self::assertSame('pays late', DB::table('notes')->where('client_id', $kept->id)->value('text'));
        $kept->refresh();
        self::assertSame(['ledger@wickerby-bells.com', 'Rings on Mondays.'], [$kept->mailbox, $kept->remarks]);
        $this->get("/clients/{$this->other->id}")->assertRedirect("/clients/{$kept->id}");
        $this->get("/clients/{$this->other->id}/edit")->assertRedirect("/clients/{$kept->id}/edit");
        $this->get('/clients')->assertDontSee('Foundry Ltd');
        $this->get("/deeds/give_to_client?name={$name->ascii}")->assertDontSee('Foundry Ltd');
        $this->get("/roll?client={$this->other->id}")->assertRedirect("/roll?client={$kept->id}");
        // What was prepared for the other is done for the one that is kept.
        $this->post("/dockets/{$coming->id}/settle")->assertRedirect();
        self::assertSame($kept->id, Holding::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->sole()->client_id);
        $this->get('/roll?q=bell.com')->assertSee('Wickerby Bell Foundry')->assertDontSee('Foundry Ltd');
        $this->get("/dockets/{$coming->id}")->assertOk();
    }

    public function test_the_next_list_that_uses_the_other_spelling_makes_no_second_client(): void
    {
        Storage::fake();
        $this->house->name('bell.com');
        $this->actingAs($this->house->steward)
            ->post("/clients/{$this->house->foundry->id}/merge", ['other' => $this->other->id])
            ->assertSessionHasNoErrors();
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent(
                'list.csv',
                "name,client,account\nbell.com,Wickerby Bell Foundry Ltd,40718\npeal.com,wickerby bell foundry ltd,40718\n",
            ),
            'registrar' => $this->house->skerry->id,
            'client' => $this->house->harrow->id,
        ]);
        $import = Import::query()->sole();
        $this->post("/imports/{$import->id}/columns", ['columns' => $import->matched['columns'] ?? [], 'order' => 'ymd']);
        $this->get("/imports/{$import->id}")
            ->assertSee('1 new')
            ->assertSee('1 the same')
            ->assertSee('0 refused')
            ->assertDontSee('not recorded yet');
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        self::assertSame(
            [$this->house->foundry->id],
            Holding::query()
                ->where('name_id', Name::query()->where('ascii', 'peal.com')->sole()->id)
                ->pluck('client_id')
                ->all(),
        );
    }

    public function test_what_is_no_pair_is_refused(): void
    {
        $third = Client::query()->create(['name' => 'Bell Foundry']);
        $to = "/clients/{$this->house->foundry->id}/merge";
        foreach ([$this->house->foundry->id, 999_999, 'x', '', ['1']] as $other) {
            $this->actingAs($this->house->steward)
                ->from($to)
                ->post($to, ['other' => $other])
                ->assertSessionHasErrors('other');
        }
        $this->post($to, ['other' => $this->house->harrow->id])->assertSessionHasErrors([
            'other' => 'Your own organisation can’t be merged into another.',
        ]);
        $this->post($to, ['other' => $this->other->id])->assertSessionHasNoErrors();
        $this->post($to, ['other' => $this->other->id])->assertSessionHasErrors('other');
        // One spelling after another, and never a chain.
        $this->post("/clients/{$third->id}/merge", ['other' => $this->house->foundry->id])->assertSessionHasNoErrors();
        self::assertSame($third->id, $this->other->refresh()->merged_into);
        $this->get("/clients/{$this->house->foundry->id}/merge")->assertRedirect("/clients/{$third->id}/merge");
        $this->expectException(QueryException::class);
        DB::table('clients')
            ->where('id', $third->id)
            ->update(['merged_into' => $this->other->id]);
    }
}
