<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Gates\SetGatePassword;
use App\Actions\Orders\SendOrders;
use App\Actions\SaveRow;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Guarded;
use App\Models\Import;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registrant;
use App\Models\Registrar;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\TlsSocket;
use App\Outside\Registrar\BridgeRegistrar;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Gates;
use App\Outside\Registrar\Registrars;
use App\Queries\Dockets\SlipLot;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\RoundsItem;
use App\Support\TradeClock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * Rights that add up: whatever decides where a secret is sent, or where letters and links lead, needs the right of whoever may use the
 * secret.
 */
final class GuardedTest extends TestCase
{
    use Scripted;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        app(SetGatePassword::class)->handle($this->house->steward, $this->house->ours, 'seven gulls');
    }

    /** @return array<string, mixed> what the form of a registrar sends */
    private function registrar(): array
    {
        return [
            'name' => 'Skerry Registrations',
            'receiver_by' => 'number_login',
            'confirms' => 'receiver',
            'accept_days' => 14,
            'lot_size' => 1000,
            'handover_hold_days' => 0,
            'charge_lead_days' => 7,
            'link' => 'wire',
            'gate' => 'epp.skerry.example:700',
            'accepts_by' => 'page',
            'verifies_by' => 'registrar',
            'version' => 1,
        ];
    }

    /** @return array<string, mixed> what the form of an account sends */
    private static function account(Account $account): array
    {
        return [
            'registrar_id' => $account->registrar_id,
            'number' => $account->number,
            'login' => $account->login,
            'mailbox' => $account->mailbox,
            'owner_id' => $account->owner_id,
            'access' => $account->access,
            'proven_at' => $account->proven_at?->date(),
            'version' => $account->version,
        ];
    }

    #[TestWith(['gate', 'epp.elsewhere.example:700'])]
    #[TestWith(['link', 'bridge'])]
    #[TestWith(['link', 'slip'])]
    #[TestWith(['gate_key', 'AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA='])]
    #[TestWith(['accepts_by', 'letter'])]
    #[TestWith(['verifies_by', 'house'])]
    #[TestWith(['verification_sender', 'fraud@elsewhere.example'])]
    public function test_a_clerk_changes_no_way_to_a_registrar(string $field, string $to): void
    {
        $page = "/registrars/{$this->house->skerry->id}";
        $this->actingAs($this->house->clerk)
            ->from("{$page}/edit")
            ->put($page, [$field => $to] + $this->registrar())
            ->assertSessionHasErrors($field)
            ->assertSessionHasInput('lot_size');
        self::assertSame(1, $this->house->skerry->refresh()->version);
        // The rest is theirs to change, whether the form sends what is fixed or not.
        $this->put($page, ['lot_size' => 500] + array_diff_key($this->registrar(), [$field => 1]))->assertSessionHasNoErrors();
        self::assertSame(
            [500, 'wire', 'epp.skerry.example:700'],
            [$this->house->skerry->refresh()->lot_size, $this->house->skerry->link, $this->house->skerry->gate],
        );
        $this->actingAs($this->house->steward)
            ->put($page, [$field => $to, 'version' => 2] + $this->registrar())
            ->assertSessionHasNoErrors();
        self::assertSame($to, $this->house->skerry->refresh()->getAttribute($field));
    }

    public function test_a_clerk_writes_down_a_registrar_without_a_gate(): void
    {
        $new = ['name' => 'Oriel Names'] + $this->registrar();
        $this->actingAs($this->house->clerk)
            ->post('/registrars', $new)
            ->assertSessionHasErrors(['link', 'gate']);
        $this->post('/registrars', array_diff_key($new, ['gate' => 1, 'link' => 1]))->assertSessionHasNoErrors();
        self::assertSame('slip', Registrar::query()->where('name', 'Oriel Names')->sole()->link);
    }

    #[TestWith(['number', '99999'])]
    #[TestWith(['login', 'clerk'])]
    #[TestWith(['mailbox', 'clerk@elsewhere.example'])]
    #[TestWith(['handle', 'CLERK'])]
    #[TestWith(['letters_to', 'clerk@elsewhere.example'])]
    #[TestWith(['access', 'theirs'])]
    #[TestWith(['proven_at', '2026-10-01'])]
    public function test_a_clerk_redirects_no_account(string $field, string $to): void
    {
        $account = $this->house->ours;
        $page = "/accounts/{$account->id}";
        $this->actingAs($this->house->clerk)
            ->from("{$page}/edit")
            ->put($page, [$field => $to] + self::account($account))
            ->assertSessionHasErrors($field);
        $this->put(
            $page,
            ['remarks' => 'asked on Monday'] + array_diff_key(self::account($account), [$field => 1]),
        )->assertSessionHasNoErrors();
        self::assertSame(['asked on Monday', '40718', 'ours'], [$account->refresh()->remarks, $account->number, $account->access]);
        $this->actingAs($this->house->steward)
            ->put($page, [$field => $to] + self::account($account))
            ->assertSessionHasNoErrors();
    }

    /** Moved to another registrar, an account's password would be sent to that one's gate. */
    public function test_an_account_that_is_moved_to_another_registrar_takes_no_password_along(): void
    {
        $other = Registrar::query()->create(['name' => 'Oriel Names', 'link' => 'wire', 'gate' => 'epp.oriel.example:700']);
        $page = "/accounts/{$this->house->ours->id}";
        $values = ['registrar_id' => $other->id] + self::account($this->house->ours);
        $this->actingAs($this->house->clerk)->put($page, $values)->assertSessionHasErrors('registrar_id');
        $this->actingAs($this->house->steward)->put($page, $values)->assertSessionHasNoErrors();
        self::assertNull(app(Registrars::class)->of($this->house->ours->refresh()->load('registrar')));
        self::assertTrue(app(Registrars::class)->isSuspended($this->house->ours));
    }

    public function test_the_action_itself_holds_the_guard_whoever_calls_it(): void
    {
        $this->expectException(AuthorizationException::class);
        app(SaveRow::class)->handle($this->house->clerk, $this->house->skerry, ['gate' => 'epp.elsewhere.example:700'], 1);
    }

    public function test_a_clerk_redirects_nobody_who_is_asked_for_their_yes(): void
    {
        $name = $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $contact = Registrant::query()->findOrFail($name->id)->contact_id;
        $form = [
            'kind' => 'organisation',
            'organisation' => 'Wickerby Bell Foundry',
            'mailbox' => 'clerk@elsewhere.example',
            'version' => 1,
        ];
        $this->actingAs($this->house->clerk)
            ->put("/contacts/{$contact}", $form)
            ->assertSessionHasErrors('mailbox');
        $this->put(
            "/contacts/{$contact}",
            ['mailbox' => 'LEDGER@bells.example', 'person' => 'Gudrun Kettle'] + $form,
        )->assertSessionDoesntHaveErrors('mailbox');
        $facts = ['intent' => 'lapse', 'lock' => 'off', 'version' => 1, 'registrant' => 'Wickerby Bell Foundry'];
        $this->put('/names/bell.com', ['mailbox' => 'clerk@elsewhere.example'] + $facts)->assertSessionHasErrors('mailbox');
        $this->put("/clients/{$this->house->foundry->id}", [
            'name' => 'Wickerby Bell Foundry',
            'mailbox' => 'clerk@elsewhere.example',
            'version' => 1,
        ])->assertSessionHasErrors('mailbox');
        self::assertSame('ledger@bells.example', mb_strtolower((string) Registrant::query()->findOrFail($name->id)->address));
        // One that nobody knew may be recorded.
        $unknown = $this->house->name('quay.com', facts: ['registrant' => 'Quayside Theatre']);
        $this->put(
            '/names/quay.com',
            ['registrant' => 'Quayside Theatre', 'mailbox' => 'office@quay.example'] + $facts,
        )->assertSessionHasNoErrors();
        self::assertSame('office@quay.example', Registrant::query()->findOrFail($unknown->id)->address);
        // Nor by putting two together, of which one has a mailbox of the Clerk's own.
        $this->post('/contacts', [
            'kind' => 'organisation',
            'organisation' => 'Wickerby Bell Foundry',
            'mailbox' => 'clerk@elsewhere.example',
        ])->assertSessionHasNoErrors();
        $mine = Contact::query()->latest('id')->firstOrFail()->id;
        $merge = ['keep' => $mine, 'together' => [$contact]];
        $this->post('/contacts/alike', $merge)->assertSessionHasErrors('together');
        self::assertSame($contact, Registrant::query()->findOrFail($name->id)->contact_id);
        $this->actingAs($this->house->steward)->post('/contacts/alike', $merge)->assertSessionHasNoErrors();
        self::assertSame($mine, Registrant::query()->findOrFail($name->id)->contact_id);
    }

    public function test_a_list_that_redirects_registrants_is_brought_in_by_a_steward(): void
    {
        Storage::fake();
        $this->house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $bring = function (string $content): Import {
            $this->actingAs($this->house->clerk)
                ->post('/imports', [
                    'list' => UploadedFile::fake()->createWithContent('list.csv', $content),
                    'registrar' => $this->house->skerry->id,
                    'account' => $this->house->ours->id,
                    'client' => $this->house->foundry->id,
                ])
                ->assertRedirect();
            $import = Import::query()->latest('id')->firstOrFail();
            $this->post("/imports/{$import->id}/columns", ['columns' => ['name', 'mailbox'], 'order' => 'ymd'])->assertRedirect();

            return $import;
        };
        $import = $bring("name,mailbox\nbell.com,clerk@elsewhere.example\n");
        $this->get("/imports/{$import->id}")->assertSee('A Steward or an Owner must import it');
        $this->post("/imports/{$import->id}/write")->assertForbidden();
        $this->actingAs($this->house->steward)
            ->get("/imports/{$import->id}")
            ->assertDontSee('must import it');
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        $fine = $bring("name,mailbox\nquay.com,office@quay.example\n");
        $this->post("/imports/{$fine->id}/write")->assertRedirect();
    }

    public function test_a_password_is_suspended_until_it_is_confirmed_for_another_gate(): void
    {
        Queue::fake();
        $name = $this->house->name('bell.com');
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'change_lock',
            [$name->id],
            ['lock' => 'on'],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $this->house->skerry->update(['gate' => 'epp.elsewhere.example:700']);
        $account = Account::query()->with('registrar')->findOrFail($this->house->ours->id);
        self::assertNotNull($account->gate_secret_id, 'nothing is forgotten');
        foreach ([fn () => app(Gates::class)->of($account), fn () => app(BridgeRegistrar::class)->greet($account)] as $ask) {
            try {
                $ask();
                self::fail('It was asked.');
            } catch (NotReached $e) {
                self::assertStringContainsString('before somebody confirms it', $e->getMessage());
            }
        }
        app(SendOrders::class)->handle($account->id);
        self::assertSame([OrderState::Waiting, 0], [Order::query()->sole()->state, Order::query()->sole()->attempts]);
        $page = "/accounts/{$account->id}";
        $this->actingAs($this->house->clerk)
            ->get($page)
            ->assertSee('No orders are sent')
            ->assertSee('A Steward or an Owner must confirm')
            ->assertSee('One order is waiting for that');
        $said = array_filter(
            app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
            fn (RoundsItem $item): bool => str_starts_with($item->key, 'gate:'),
        );
        self::assertSame(
            ['the host is now epp.elsewhere.example:700; the password was given for another'],
            array_values(array_map(fn (RoundsItem $item): string => $item->says, $said)),
        );
        $shown = GatePin::of($account->registrar);
        $this->post("{$page}/gate/confirm", ['gate' => $shown, 'own_password' => House::PASSWORD])->assertForbidden();
        $this->actingAs($this->house->steward)->get($page)->assertSee('epp.elsewhere.example:700')->assertSee('Use this password at');
        $this->post("{$page}/gate/confirm", ['gate' => $shown, 'own_password' => 'not mine'])->assertSessionHasErrors('own_password');
        // Changed between the page and the button, it is shown again first.
        $this->house->skerry->refresh()->update(['gate' => 'epp.third.example:700']);
        $this->post("{$page}/gate/confirm", ['gate' => $shown, 'own_password' => House::PASSWORD])->assertSessionHasErrors('gate');
        self::assertTrue(app(Registrars::class)->isSuspended(Account::query()->with('registrar')->findOrFail($account->id)));
        $this->post("{$page}/gate/confirm", [
            'gate' => 'wire epp.third.example:700',
            'own_password' => House::PASSWORD,
        ])->assertSessionHasNoErrors();
        self::assertNotNull(app(Registrars::class)->of(Account::query()->with('registrar')->findOrFail($account->id)));
    }

    /** Where a registrar takes no commands any more, what waited becomes work for a person. */
    #[TestWith(['the link'])]
    #[TestWith(['the password'])]
    public function test_what_waited_for_a_gate_that_is_gone_stands_on_the_slip(string $gone): void
    {
        Queue::fake();
        $name = $this->house->name('bell.com');
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'change_lock',
            [$name->id],
            ['lock' => 'on'],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $names = fn (): string => implode(
            ' ',
            array_map(fn (SlipLot $lot): string => $lot->names(), app(Deeds::class)->of($docket)->slip($docket)->lots ?? []),
        );
        self::assertSame('', $names());
        $gone === 'the link'
            ? app(SaveRow::class)->handle($this->house->steward, $this->house->skerry, ['link' => 'slip'], 1)
            : app(SetGatePassword::class)->handle($this->house->steward, $this->house->ours, null);
        self::assertSame([OrderState::CalledOff, 'bell.com'], [Order::query()->sole()->state, $names()]);
    }

    /** The simulated world's certificate, held against a key that is recorded. */
    public function test_a_gate_must_show_the_key_that_is_written_down_for_it(): void
    {
        [$port] = self::ports(1);
        $this->starts('scripted-gate.php', (string) $port, '[["hello"]]');
        $certificates = glob(dirname(config()->string('outside.authority')).'/server-*.pem');
        // What openssl itself says of it (RFC 7858 appendix A tells how a pin is made).
        $key = trim(
            (string) shell_exec(
                'openssl x509 -pubkey -noout -in '.
                    escapeshellarg($certificates === false ? '' : $certificates[0] ?? '').
                    ' | openssl pkey -pubin -outform der | openssl dgst -sha256 -binary | base64',
            ),
        );
        $open = fn (?string $pin) => TlsSocket::open(
            new Hosts(['epp.skerry.example' => "127.0.0.1:{$port}"]),
            'epp.skerry.example',
            700,
            config()->string('outside.authority'),
            2,
            $pin,
        );
        self::assertIsResource($open(null));
        self::assertIsResource($open($key));
        try {
            $open(base64_encode(str_repeat('x', 32)));
            self::fail('It was let pass.');
        } catch (NotReached $e) {
            self::assertSame(FailureReason::Certificate, $e->why);
        }
    }

    /** The list of what is guarded is held against the columns that there are, so that none is misspelt. */
    public function test_what_is_guarded_is_there(): void
    {
        foreach ([$this->house->skerry, $this->house->ours, $this->house->foundry] as $row) {
            $row->refresh();
            self::assertNotSame([], Guarded::columns($row));
            self::assertSame([], array_diff(Guarded::columns($row), array_keys($row->getAttributes())));
        }
    }
}
