<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Orders\SendOrders;
use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\Name;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Gates;
use App\Queries\Money\Purses;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;

/** Three accounts that pay: one is told by wire, one by bridge, and of one a slip says what is to be done. */
trait ThreeAccounts
{
    use PressesDeeds;
    use Worldly;

    private House $house;

    /** By wire, by bridge, by slip. */
    private Account $wire;

    private Account $bridge;

    private Account $slip;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        config(['outside.gate_seconds' => 2.0]);
        $this->app->forgetInstance(Gates::class);
        $this->house = new House(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        $oriel = $this->registrar('Oriel Names', ['link' => 'bridge', 'gate' => 'bridge.oriel-names.example:443']);
        $pellbridge = $this->registrar('Pellbridge', []);
        foreach (['the gate', 'the bridge'] as $place) {
            $this->world->weather('fair', 0, $place);
        }
        $trial = substr(md5(self::class), 0, 4).self::$trials++.'-'.getmypid();
        $this->wire = $this->account("RW-{$trial}", $this->house->skerry, 'skerry', 170_00);
        $this->bridge = $this->account("RB-{$trial}", $oriel, 'oriel', 170_00);
        $this->slip = $this->house->account("RS-{$trial}", null, $pellbridge);
        $this->actingAs($this->house->steward);
    }

    protected function tearDown(): void
    {
        $this->world->weather('fair', 0, 'the bridge');
        $this->world->weather('fair', 0);
        parent::tearDown();
    }

    private function registration(Name $name): Registration
    {
        return Registration::query()->where('name_id', $name->id)->sole();
    }

    private function ends(Name $name): ?string
    {
        return $this->registration($name)->ends_on?->date();
    }

    private function left(Account $account): string
    {
        return (string) app(Purses::class)->of([$account->id])[$account->id]->left()?->decimal();
    }

    private function again(Account $account): void
    {
        DB::update('UPDATE orders SET not_before = clock_timestamp()');
        app(SendOrders::class)->handle($account->id);
    }

    /** @param  array<string, mixed>  $terms */
    private function registrar(string $name, array $terms): Registrar
    {
        $registrar = Registrar::query()->create(['name' => $name, ...$terms]);
        Price::query()->create([
            'registrar_id' => $registrar->id,
            'suffix' => 'com',
            'action' => 'renew',
            'amount' => '9.90',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);

        return $registrar;
    }

    private function account(string $number, Registrar $registrar, string $at, int $balance): Account
    {
        $account = $this->house->account($number, null, $registrar);
        $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => 'three cormorants']);
        $account->update([
            'gate_secret_id' => $secret->id,
            'gate_for' => GatePin::of($registrar->refresh()),
            // The world's clock is not these tests', and whatever it entered would be another charge.
            'entries_asked_on' => app(TradeClock::class)->today()->date(),
        ]);
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => [[
                'number' => $number,
                'registrar' => $at,
                'login' => (string) $account->login,
                'mailbox' => 'a@b.example',
                'password' => 'three cormorants',
                'balance' => $balance,
            ]],
        ]);

        return $account;
    }

    /**
     * @param  array<string, mixed>  $otherwise  at its registry
     * @param  array<string, mixed>  $facts  in our books
     */
    private function held(Account $account, array $otherwise = [], array $facts = []): Name
    {
        $ascii = 'renew-'.substr(md5(self::class), 0, 4).self::$trials++.'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                self::atRegistry($ascii, [], $otherwise + [
                    'registrar' => $account->is($this->wire) ? 'skerry' : 'oriel',
                    'account' => $account->number,
                    'ends' => Instant::of('2027-11-02')->epoch,
                ]),
            ],
        ]);

        return $this->house->name($ascii, $account, facts: $facts);
    }

    private function work(Account $account): void
    {
        app()->call([new WorkGate($account->id), 'handle']);
    }
}
