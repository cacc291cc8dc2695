<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Contacts\SaveContact;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Client;
use App\Models\Holding;
use App\Models\Name;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\Role;
use App\Models\User;
use App\Support\TradeClock;
use Illuminate\Support\Str;

/** A small house for tests: one registrar, three accounts, and whatever names a test asks for. The clock shows 6 October 2026. */
final class House
{
    public const PASSWORD = 'seven herring gulls';

    public User $owner;

    public User $steward;

    public User $clerk;

    public User $reader;

    public Client $harrow;

    public Client $foundry;

    public Registrar $skerry;

    public Account $ours;

    public Account $theirs;

    /** @param  array<string, mixed>  $terms  columns of the registrar */
    public function __construct(array $terms = [])
    {
        app(TradeClock::class)->set(Instant::of('2026-10-06T09:00:00Z'));
        foreach (['owner' => Role::Owner, 'steward' => Role::Steward, 'clerk' => Role::Clerk, 'reader' => Role::Reader] as $key => $role) {
            $this->{$key} = User::enrol(ucfirst($key).' Tern', "{$key}@harrow-tern.example", self::PASSWORD, $role);
        }
        $this->harrow = Client::query()->create(['name' => 'Harrow & Tern', 'is_house' => true]);
        $this->foundry = Client::query()->create(['name' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@wickerby-bells.com']);
        $this->skerry = Registrar::query()->create(['name' => 'Skerry Registrations', 'charge_lead_days' => 7, ...$terms]);
        Price::query()->create([
            'registrar_id' => $this->skerry->id,
            'suffix' => 'com',
            'action' => 'renew',
            'amount' => '9.90',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);
        $this->ours = $this->account('40718', null);
        $this->theirs = $this->account('51877', $this->foundry);
    }

    public function account(string $number, ?Client $owner, ?Registrar $registrar = null): Account
    {
        return Account::query()->create([
            'registrar_id' => ($registrar ?? $this->skerry)->id,
            'number' => $number,
            'login' => "login-{$number}",
            'mailbox' => "box-{$number}@accounts.example",
            'owner_id' => $owner?->id,
            'access' => $owner === null ? 'ours' : 'theirs',
            'proven_at' => Instant::of('2026-01-05'),
        ]);
    }

    /** @param  array<string, mixed>  $facts  columns of the registration, and `registrant` and `mailbox` */
    public function name(
        string $name,
        ?Account $account = null,
        ?Client $client = null,
        array $facts = [],
        string $since = '2024-06-02',
    ): Name {
        $domain = DomainName::of($name);
        $row = Name::query()->create(['ascii' => $domain->ascii, 'unicode' => $domain->unicode, 'suffix' => $domain->suffix()]);
        $registration = Registration::query()->create([
            'name_id' => $row->id,
            'span' => Span::since(Instant::of('2020-11-02')),
            'created_on' => Instant::of('2020-11-02'),
            'ends_on' => Instant::of('2027-11-02'),
            'lock' => 'off',
            ...array_diff_key($facts, ['registrant' => 1, 'mailbox' => 1]),
        ]);
        Holding::query()->create([
            'name_id' => $row->id,
            'registration_id' => $registration->id,
            'account_id' => ($account ?? $this->ours)->id,
            'client_id' => ($client ?? $this->foundry)->id,
            'span' => Span::since(Instant::of($since)),
        ]);
        app(RecordRegistrants::class)->of([$row->id => array_intersect_key($facts, ['registrant' => 1, 'mailbox' => 1])], 'typed', null);
        app(MakeStandings::class)->of([$row->id]);

        return $row;
    }

    public function terms(?Account $receiver = null): HandoverTermsChosen
    {
        return new HandoverTermsChosen(($receiver ?? $this->theirs)->id, null, Instant::of('2026-10-20'));
    }

    public static function token(): string
    {
        return (string) Str::uuid();
    }

    public static function holder(Name $name): int
    {
        return Holding::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->sole()->account_id;
    }

    /**
     * Another registrant than the Bell Foundry, recorded and authorised.
     *
     * @param  array<string, mixed>|null  $is  what is known of them; null: everything that a registrar asks
     * @return array<string, mixed> the terms of the deed
     */
    public function anotherRegistrant(Name $name, ?array $is = null): array
    {
        app(RecordRegistrants::class)->of(
            [$name->id => ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']],
            'typed',
            null,
        );
        $address = Address::of(['Upper Wick 4'], 'Wickerby', null, 'WS1 4AB', Country::of('GB'));
        $value = Contact::of(
            HolderKind::Organisation,
            is_string($is['organisation'] ?? null) ? $is['organisation'] : 'Peal Trust',
            $is === null ? 'Zoë Peal' : null,
            $is === null ? $address : null,
            $is === null ? Phone::of('+44 20 7946 0123') : null,
            Mailbox::tryOf(is_string($is['mailbox'] ?? null) ? $is['mailbox'] : 'desk@peal.example'),
        );
        $contact = app(SaveContact::class)->create($this->steward, $value, null, 'typed');

        return [
            'contact' => $contact->id,
            'agreement' => 'of 1 July',
            'authority' => 'Gudrun Kettle, by letter',
            'agent' => 'both',
            'answer_by' => '2026-10-20',
        ];
    }
}
