<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Models\Client;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Role;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Clients, registrars with terms and prices, accounts; and what each role may do with them. */
final class PeopleAndPapersTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    /** @return iterable<string, array{string, string, array<string, string>}> method, path, who else than an Owner may */
    public static function deeds(): iterable
    {
        $prepare = ['steward' => 'may', 'clerk' => 'may'];
        yield 'write down a client' => ['POST', '/clients', $prepare];
        yield 'change a client' => ['PUT', '/clients/{client}', $prepare];
        yield 'write down a registrar' => ['POST', '/registrars', $prepare];
        yield 'change terms' => ['PUT', '/registrars/{registrar}', $prepare];
        yield 'set a price' => ['POST', '/registrars/{registrar}/prices', $prepare];
        yield 'write down an account' => ['POST', '/accounts', $prepare];
        yield 'change an account' => ['PUT', '/accounts/{account}', $prepare];
        yield 'change what is known of a name' => ['PUT', '/names/bell.com', $prepare];
        yield 'gather names' => ['POST', '/sheaf', $prepare];
        yield 'bring a list in' => ['POST', '/imports', $prepare];
        yield 'hand over' => ['POST', '/hand-over', $prepare];
        yield 'paste names' => ['POST', '/hand-over/list', $prepare];
        yield 'let somebody in' => ['POST', '/people', []];
        yield 'change a person' => ['PUT', '/people/{person}', []];
        yield 'see who signs in' => ['GET', '/people', []];
        yield 'sign out' => ['POST', '/sign-out', ['steward' => 'may', 'clerk' => 'may', 'reader' => 'may']];
    }

    /** @param  array<string, string>  $may */
    #[DataProvider('deeds')]
    public function test_each_role_may_what_it_may_and_no_more(string $method, string $path, array $may): void
    {
        $this->house->name('bell.com');
        $path = strtr($path, [
            '{client}' => $this->house->foundry->id,
            '{registrar}' => $this->house->skerry->id,
            '{account}' => $this->house->ours->id,
            '{person}' => $this->house->reader->id,
        ]);
        foreach (Role::cases() as $role) {
            $user = User::query()->where('role', $role)->firstOrFail();
            $status = $this->actingAs($user)->call($method, $path)->getStatusCode();
            $allowed = $role === Role::Owner || isset($may[$role->value]);
            $allowed
                ? self::assertNotSame(403, $status, "{$role->value} {$path}")
                : self::assertSame(403, $status, "{$role->value} {$path}");
        }
    }

    /**
     * @param  array<string, mixed>  $values
     * @return TestResponse<Response>
     */
    private function price(array $values): TestResponse
    {
        return $this->actingAs($this->house->clerk)->post(
            "/registrars/{$this->house->skerry->id}/prices",
            $values + [
                'suffix' => 'org',
                'action' => 'renew',
                'amount' => '10.60',
                'currency' => 'GBP',
                'tax_percent' => '0',
                'since' => '2026-01-01',
            ],
        );
    }

    /** @return list<string> */
    private function prices(): array
    {
        $prices = Price::query()->where('suffix', 'org')->orderByRaw('lower(span)')->get()->all();

        return array_map(
            fn (Price $price): string => "{$price->amount} {$price->span->from?->iso()} {$price->span->until?->iso()}",
            array_values($prices),
        );
    }

    public function test_a_new_price_ends_the_one_before_it_wherever_it_falls(): void
    {
        $this->price([])->assertSessionHasNoErrors();
        $this->price(['amount' => '12', 'since' => '2027-01-01']);
        self::assertSame(['10.60 2026-01-01 2027-01-01', '12.00 2027-01-01 '], $this->prices());
        $this->price(['amount' => '11', 'since' => '2026-07-01']);
        self::assertSame(['10.60 2026-01-01 2026-07-01', '11.00 2026-07-01 2027-01-01', '12.00 2027-01-01 '], $this->prices());
        // The same day again corrects it.
        $this->price(['amount' => '11,50', 'since' => '2026-07-01']);
        self::assertSame('11.50 2026-07-01 2027-01-01', $this->prices()[1]);
        $this->price(['amount' => '9', 'since' => '2025-01-01']);
        self::assertSame('9.00 2025-01-01 2026-01-01', $this->prices()[0]);
        $this->get("/registrars/{$this->house->skerry->id}")->assertSeeInOrder(['.org', '£12.00', 'further notice']);
    }

    public function test_a_price_that_is_none_is_refused_and_the_form_keeps_it(): void
    {
        foreach (
            [
                ['amount' => 'ten'],
                ['amount' => '-1'],
                ['amount' => '1.005'],
                ['currency' => 'pounds'],
                ['tax_percent' => '101'],
                ['suffix' => '*.org'],
                ['action' => 'steal'],
                ['since' => '2026-02-30'],
            ] as $wrong
        ) {
            $this->price($wrong)->assertSessionHasErrors(array_key_first($wrong))->assertSessionHasInput('action');
        }
        self::assertSame([], $this->prices());
    }

    public function test_terms_are_written_down_and_read_back(): void
    {
        $terms = [
            'name' => 'Oriel Names',
            'receiver_by' => 'handle',
            'confirms' => 'giver_then_receiver',
            'names_giver' => '1',
            'lock_first' => '0',
            'unlock_account_first' => '1',
            'accept_days' => '7',
            'lot_size' => '200',
            'handover_hold_days' => '5',
            'charge_lead_days' => '30',
            'dark_after_days' => '',
            'plain_after_days' => '10',
            'late_until_days' => '40',
            'extras' => ['mail' => 'stays', 'zone' => ''],
            'remarks' => 'By telephone',
        ];
        $this->actingAs($this->house->clerk)->post('/registrars', $terms)->assertSessionHasNoErrors();
        $oriel = Registrar::query()->where('name', 'Oriel Names')->sole();
        self::assertSame(
            [true, false, true, 7, null, 40, ['mail' => 'stays']],
            [
                $oriel->names_giver,
                $oriel->lock_first,
                $oriel->unlock_account_first,
                $oriel->accept_days,
                $oriel->dark_after_days,
                $oriel->late_until_days,
                $oriel->extras,
            ],
        );
        $this->get("/registrars/{$oriel->id}")->assertSeeInOrder([
            'public handle',
            'the giver confirms, then the receiver accepts',
            'within 7 days',
            'must be unlocked first',
            'after 5 days',
            'stays behind',
            '30 days before the end',
            'until 40 days after the end',
            'By telephone',
        ]);
        $this->post('/registrars', ['name' => 'oriel NAMES'] + $terms)->assertSessionHasErrors('name');
        $this->post('/registrars', ['name' => 'Other', 'late_until_days' => '5'] + $terms)->assertSessionHasErrors('late_until_days');
        $this->post('/registrars', ['name' => 'Other', 'extras' => ['lottery' => 'stays']] + $terms)->assertSessionHasErrors('extras');
        $this->post('/registrars', ['name' => 'Other', 'receiver_by' => 'face'] + $terms)->assertSessionHasErrors('receiver_by');
    }

    public function test_pages_say_how_many_names_and_where(): void
    {
        $this->house->name('one.com');
        $this->house->name('two.com', facts: ['ends_on' => Instant::of('2026-10-10')]);
        $this->actingAs($this->house->reader);
        $this->get('/clients')->assertSeeInOrder(
            ['Harrow &amp; Tern', 'ourselves', 'Wickerby Bell Foundry', '>2<', '>1<', '10 Oct 2026'],
            false,
        );
        $this->get("/clients/{$this->house->foundry->id}")->assertSeeInOrder([
            '2 names',
            'One of them is urgent',
            'Skerry Registrations',
            'account 40718',
            'Their own accounts',
            '51877',
        ]);
        $this->get("/clients/{$this->house->harrow->id}")->assertSee('No names are held for us yet');
        $this->get("/accounts/{$this->house->ours->id}")->assertSeeInOrder([
            'account',
            '40718',
            'Our own',
            '2 names',
            'login-40718',
            'Confirmed on 5 Jan 2026',
        ]);
        $this->get("/accounts/{$this->house->theirs->id}")
            ->assertSee('0 names')
            ->assertSee('we can’t sign in');
        $this->get('/registrars')->assertSeeInOrder(['Skerry Registrations', 'by slip', 'number and login']);
        $this->get('/accounts?q=nothing')->assertSee('No account matches');
        $this->get('/clients/999999')->assertNotFound()->assertSee('Not found');
    }

    public function test_an_accounts_identifiers_become_proven_with_the_day_it_was_confirmed(): void
    {
        $account = $this->house->account('52044', $this->house->foundry);
        $account->update(['proven_at' => null]);
        $this->actingAs($this->house->steward)
            ->get("/accounts/{$account->id}")
            ->assertSee('Not confirmed');
        $form = [
            'registrar_id' => $this->house->skerry->id,
            'number' => '52044',
            'login' => 'bells',
            'access' => 'theirs',
            'owner_id' => $this->house->foundry->id,
            'version' => 1,
        ];
        $this->put("/accounts/{$account->id}", ['proven_at' => '2026-10-05'] + $form)->assertSessionHasNoErrors();
        self::assertSame(['2026-10-05', 2], [$account->refresh()->proven_at?->date(), $account->version]);
        $this->put("/accounts/{$account->id}", ['proven_at' => '2026-10-32'] + $form)->assertSessionHasErrors('proven_at');
        $this->put("/accounts/{$account->id}", ['registrar_id' => 999_999] + $form)->assertSessionHasErrors('registrar_id');
        self::assertSame(3, Account::query()->count());
    }

    public function test_an_empty_house_says_what_comes_first(): void
    {
        $empty = Client::query()->count();
        self::assertSame(2, $empty);
        Price::query()->delete();
        Account::query()->delete();
        Registrar::query()->delete();
        $this->actingAs($this->house->clerk);
        $this->get('/registrars')->assertSee('No registrar yet');
        $this->get('/accounts')->assertSee('No account yet');
        $this->get('/accounts/create')->assertSee('Add a registrar');
        $this->get('/dockets')->assertSee('Nothing under way');
        $this->get('/dockets?state=ended')->assertSee('No closed dockets yet');
        $this->get('/imports')->assertSee('Import names')->assertDontSee('Account, where a line says none');
    }
}
