<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\Docket;
use App\Models\Leg;
use App\Models\Name;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Gates;

/** A house with an account at Skerry and one at Lantern, both in the simulated world. */
trait TwoRegistrars
{
    use PressesDeeds;
    use Worldly;

    private House $house;

    private Registrar $lantern;

    /** At Skerry, and at Lantern. */
    private Account $losing;

    private Account $gaining;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        config(['outside.gate_seconds' => 2.0]);
        $this->app->forgetInstance(Gates::class);
        $this->house = new House();
        $this->world->weather('fair', 0);
        $trial = self::$trials++.'-'.getmypid();
        $this->lantern = Registrar::query()->create(['name' => 'Lantern Wholesale', 'behind' => ['LANTERN', '990742']]);
        $this->house->skerry->update(['behind' => ['SKERRY']]);
        foreach (['com' => '9.90', 'co.uk' => '0'] as $suffix => $amount) {
            Price::query()->create([
                'registrar_id' => $this->lantern->id,
                'suffix' => $suffix,
                'action' => 'transfer',
                'amount' => $amount,
                'currency' => 'GBP',
                'tax_percent' => '20',
                'span' => Span::since(Instant::of('2020-01-01')),
            ]);
        }
        $this->losing = $this->house->account("TL-{$trial}", null);
        $this->gaining = $this->house->account("TG-{$trial}", null, $this->lantern);
        $account = fn (Account $of, string $registrar): array => [
            'number' => $of->number,
            'registrar' => $registrar,
            'login' => (string) $of->login,
            'mailbox' => 'a@b.example',
            'password' => "t {$of->number}",
            'balance' => 100_00,
        ];
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => [$account($this->losing, 'skerry'), $account($this->gaining, 'lantern')],
        ]);
        $this->actingAs($this->house->steward);
    }

    private function byWire(Registrar $registrar, Account $account, string $gate): void
    {
        $registrar->update(['link' => 'wire', 'gate' => $gate]);
        $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => "t {$account->number}"]);
        $account->update(['gate_secret_id' => $secret->id, 'gate_for' => GatePin::of($registrar->refresh())]);
    }

    /** @param  array<string, mixed>  $otherwise  at its registry */
    private function held(array $otherwise = [], string $suffix = 'com', string $lock = 'on'): Name
    {
        $ascii = 'move-'.self::$trials++.'-'.getmypid().".{$suffix}";
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                self::atRegistry($ascii, [], $otherwise + [
                    'account' => $this->losing->number,
                    'statuses' => $lock === 'on' ? ['clientTransferProhibited'] : [],
                    'ends' => Instant::of('2027-11-02')->epoch,
                    'code' => 'Xy7-k2pQ',
                ]),
            ],
        ]);

        return $this->house->name($ascii, $this->losing, facts: ['lock' => $lock]);
    }

    private function work(Account ...$accounts): void
    {
        foreach ($accounts as $account) {
            // What an answer lets begin at the other side is told in the same run.
            app()->call([new WorkGate($account->id), 'handle']);
        }
    }

    /** @return array<string, bool> whether each step is taken, in order */
    private static function legs(Docket $docket): array
    {
        return Leg::query()->toBase()
            ->join('movements', 'movements.id', '=', 'legs.movement_id')
            ->where('docket_id', $docket->id)
            ->orderBy('position')
            ->get(['legs.kind', 'legs.done_on'])
            ->mapWithKeys(fn (object $leg): array => [is_string($leg->kind) ? $leg->kind : '' => $leg->done_on !== null])
            ->all();
    }

    /** The world's clock is everybody's: this name alone is told that its five days are over. */
    private function daysPass(Name $name): void
    {
        $ago = ($this->world->now()->epoch ?? 0) - 5 * 86_400 - 10;
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                self::atRegistry($name->ascii, [], [
                    'account' => $this->losing->number,
                    'statuses' => ['pendingTransfer'],
                    'ends' => Instant::of('2027-11-02')->epoch,
                    'transfer' => ['to' => $this->gaining->number, 'asked' => $ago, 'by' => $ago + 5 * 86_400],
                    'due' => $ago + 5 * 86_400,
                ]),
            ],
        ]);
    }
}
