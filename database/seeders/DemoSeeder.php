<?php

declare(strict_types=1);

namespace Database\Seeders;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox as MailboxValue;
use Acre\Core\Contact\Phone;
use Acre\Core\Custody\CustodyPart;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Identifier;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Contacts\FindRings;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Contacts\SaveContact;
use App\Actions\Custody\GiveCustody;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Hosting\LookAtSites;
use App\Actions\Money\AskBalance;
use App\Actions\Money\KeepCredit;
use App\Actions\Money\KeepMoney;
use App\Actions\Names\WatchNames;
use App\Actions\Outside\CheckMailboxes;
use App\Actions\Outside\Observe;
use App\Actions\Post\CollectReturned;
use App\Actions\Post\SendLetters;
use App\Actions\Standings\MakeStandings;
use App\Actions\Verification\AskToVerify;
use App\Models\Account;
use App\Models\Client;
use App\Models\Contact;
use App\Models\Custodian;
use App\Models\Docket;
use App\Models\Extra;
use App\Models\Holding;
use App\Models\Mailbox;
use App\Models\Name;
use App\Models\NamedPlace;
use App\Models\NamedSet;
use App\Models\NameSite;
use App\Models\Pattern;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\Role;
use App\Models\Secret;
use App\Models\User;
use App\Outside\Registrar\GatePin;
use App\Outside\World;
use App\Support\TradeClock;
use Database\Seeders\Demo\Hosting;
use Database\Seeders\Demo\House;
use Database\Seeders\Demo\Names;
use Database\Seeders\Demo\Outside;
use Database\Seeders\Demo\Servers;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/**
 * The demo of Harrow & Tern, told so that every page has its story on 6 October 2026. Three years of deeds are done by
 * the application's own actions, the trade clock moved along.
 */
final class DemoSeeder extends Seeder
{
    public const DAY = '2026-10-06T09:00:00Z';

    /** @var array<string, Client> */
    private array $clients = [];

    /** @var array<array-key, Account> */
    private array $accounts = [];

    /** @var array<string, int> */
    private array $names = [];

    public function __construct(
        private readonly TradeClock $clock,
        private readonly MakeStandings $standings,
        private readonly PrepareDocket $prepare,
        private readonly SettleDocket $settle,
        private readonly BeginDocketLines $begin,
        private readonly EndLines $end,
        private readonly World $world,
        private readonly Observe $observe,
        private readonly WatchNames $watch,
        private readonly RecordRegistrants $registrants,
        private readonly SaveContact $contact,
        private readonly FindRings $rings,
        private readonly GiveCustody $custody,
        private readonly CheckMailboxes $mailboxes,
        private readonly AskToVerify $ask,
        private readonly SendLetters $send,
        private readonly CollectReturned $returned,
        private readonly LookAtSites $look,
        private readonly AskBalance $balance,
        private readonly KeepMoney $keepMoney,
        private readonly KeepCredit $keepCredit,
    ) {
    }

    public function run(): void
    {
        $this->clock->set(Instant::of('2023-06-02T09:00:00Z'));
        foreach (House::people() as [$name, $mailbox, $role]) {
            User::enrol($name, $mailbox, House::PASSWORD, Role::from($role));
        }
        $this->house();
        $names = [...Names::told(), ...Names::others(176)];
        foreach ($names as $told) {
            $this->name($told);
        }
        $this->contacts();
        $this->custodians();
        $this->standings->of(array_values($this->names));
        $this->rings->handle();
        $this->deeds();
        $this->clock->set(Instant::of(self::DAY));
        $this->world->load(Outside::document($names, Instant::of(self::DAY)));
        $this->standings->staleByRulebook(all: true);
        $this->standings->due();
        $this->observed();
        $this->standings->due();
        $this->gates();
        $this->money();
        $this->verifications();
        $this->sites();
    }

    /** What visitors should find at hosts of names, and what they do. */
    private function sites(): void
    {
        $places = NamedPlace::query()->pluck('id', 'name');
        foreach (Hosting::sites() as $site) {
            [$name, $label, $place, $folder] = $site;
            $target = $site[4] ?? null;
            NameSite::query()->create([
                'name_id' => $this->names[$name],
                'label' => $label,
                'place_id' => $places[$place],
                'folder' => $folder,
                'target' => $target,
                'is_permanent' => $target === null ? null : true,
                'keeps_path' => $target === null ? null : false,
            ]);
        }
        $this->look->due(60);
    }

    /** The theatre's new names wait for an answer of a mailbox that takes no letters. */
    private function verifications(): void
    {
        Mailbox::query()
            ->where('address', '<>', 'tickets@quayside-stage.example')
            ->update([
                'verified_on' => '2024-01-15T10:00:00Z',
                'verified_by' => 'registrar',
                'verified_words' => 'Its registrar showed it as verified when the house began to keep this',
            ]);
        $this->standings->staleByRulebook(all: true);
        $this->standings->due();
        $this->ask->due();
        $this->send->handle();
        $this->returned->handle();
        $this->standings->due();
    }

    /**
     * From the demo's day on Skerry and Lantern take commands by wire and Oriel by bridge, from the accounts that are the house's to
     * act in; what began before goes on by its slip.
     */
    private function gates(): void
    {
        Registrar::query()
            ->where('name', 'Skerry Registrations')
            ->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        Registrar::query()
            ->where('name', 'Oriel Names')
            ->update(['link' => 'bridge', 'gate' => 'bridge.oriel-names.example:443', 'accepts_by' => 'letter']);
        Registrar::query()
            ->where('name', 'Lantern Wholesale')
            ->update(['link' => 'wire', 'gate' => 'epp.lantern.example:700']);
        foreach (['40718', '52044', '7731', '7810', 'L-5520'] as $number) {
            $secret = Secret::query()->create([
                'kind' => 'gate_password',
                'about' => "the gate for account {$number}",
                'value' => Outside::password($number),
            ]);
            $this->accounts[$number]->update([
                'gate_secret_id' => $secret->id,
                'gate_for' => GatePin::of($this->accounts[$number]->registrar()->sole()),
            ]);
        }
    }

    /** What accounts hold: those that take commands say so themselves; of one by slip Odile read it there, and of clients' nobody has. */
    private function money(): void
    {
        foreach (['40718', '52044', '7731', '7810', 'L-5520'] as $number) {
            $this->balance->handle($this->accounts[$number]->id);
        }
        $odile = User::query()->where('role', Role::Owner)->firstOrFail();
        $this->keepMoney->balance($odile, $this->accounts['H-2207'], Money::of('164.20', 'GBP'));
        $this->keepCredit->enter($odile, $this->accounts['7731'], [
            'amount' => '25.00',
            'currency' => 'GBP',
            'action' => 'transfer',
            'lost_on' => '2026-12-31',
        ]);
    }

    /** The demo opens on a Roll that was looked at already. */
    private function observed(): void
    {
        $this->observe->of(array_values($this->names));
        $this->mailboxes->some(1_000);
        $steward = User::query()->where('role', Role::Steward)->firstOrFail();
        foreach (Outside::watched() as [$ascii, $client, $why]) {
            $name = DomainName::of($ascii);
            $this->watch->watch(
                $steward,
                Name::query()->create(['ascii' => $name->ascii, 'unicode' => $name->unicode, 'suffix' => $name->suffix()]),
                $this->clients[$client],
                $why,
            );
        }
    }

    /** Who can get into the accounts; the museum's own curator has left. */
    private function custodians(): void
    {
        $owner = User::query()->where('role', Role::Owner)->firstOrFail();
        foreach (House::custodians() as [$name, $mailbox, $parts]) {
            $custodian = Custodian::query()->create([
                'name' => $name,
                'mailbox' => $mailbox,
                'user_id' => User::query()->where('email', $mailbox)->value('id'),
                'left_on' => $name === 'Petra Quill' ? Instant::of('2026-08-31') : null,
            ]);
            foreach ($parts as [$account, $part, $until]) {
                $this->custody->give(
                    $owner,
                    $this->accounts[$account],
                    $custodian,
                    CustodyPart::from($part),
                    $until === null ? null : Instant::of($until),
                );
            }
        }
        $this->accounts['40718']->update(['way_back' => 'Recovery codes in the grey safe, second shelf']);
        $this->accounts['H-2207']->update(['hosts_too' => true]);
    }

    /** Where those are found who came with their names. */
    private function contacts(): void
    {
        $owner = User::query()->where('role', Role::Owner)->firstOrFail();
        $told = House::contacts();
        foreach (Contact::query()->with('today.mailbox')->get() as $contact) {
            [$person, $street, $town, $postcode, $country, $voice, $kind] = $told[$contact->today->called];
            $value = ContactValue::of(
                HolderKind::from($kind),
                $kind === 'person' ? null : $contact->today->called,
                $person,
                Address::of($street, $town, 'North Sound', $postcode, Country::of($country)),
                Phone::of($voice),
                MailboxValue::tryOf($contact->today->mailbox?->address),
            );
            $this->contact->change($owner, $contact, $value, $contact->client_id, 1);
        }
    }

    private function house(): void
    {
        foreach (House::clients() as $key => $client) {
            $this->clients[$key] = Client::query()->create($client + ['is_house' => $key === 'house']);
        }
        foreach (House::patterns() as $name => $fields) {
            Pattern::query()->create(['name' => $name, 'fields' => $fields]);
        }
        foreach (Servers::sets() as $set) {
            NamedSet::query()->create($set);
        }
        foreach (Hosting::places() as $place) {
            $set = NamedSet::query()->where('name', $place['set'])->value('id');
            NamedPlace::query()->create(['server_set_id' => $set] + $place);
        }
        $registrars = [];
        foreach (House::registrars() as $key => $columns) {
            $registrars[$key] = Registrar::query()->create($columns);
        }
        foreach (House::prices() as [$registrar, $suffix, $action, $amount, $tax, $since]) {
            Price::query()->create([
                'registrar_id' => $registrars[$registrar]->id,
                'suffix' => $suffix,
                'action' => $action,
                'amount' => $amount,
                'currency' => 'GBP',
                'tax_percent' => $tax,
                'span' => Span::since(Instant::of($since)),
            ]);
        }
        foreach (House::accounts() as $key => [$registrar, $number, $login, $mailbox, $handle, $owner, $access, $proven]) {
            $this->accounts[$key] = Account::query()->create([
                'registrar_id' => $registrars[$registrar]->id,
                Identifier::Number->value => $number,
                Identifier::Login->value => $login,
                Identifier::Mailbox->value => $mailbox,
                Identifier::Handle->value => $handle,
                'owner_id' => $owner === null ? null : $this->clients[$owner]->id,
                'access' => $access,
                'proven_at' => $proven ? Instant::of('2024-01-15') : null,
            ]);
        }
    }

    /**
     * @param  array{name: string, account: string, client: string, created: string, ends: string|null, intent: string, moved?: string,
     *     lock?: string, statuses?: list<string>, extras?: list<string>, registrant?: string, mailbox?: string}  $told
     */
    private function name(array $told): void
    {
        $domain = DomainName::of($told['name']);
        $name = Name::query()->create(['ascii' => $domain->ascii, 'unicode' => $domain->unicode, 'suffix' => $domain->suffix()]);
        $client = $this->clients[$told['client']];
        $created = Instant::of($told['created']);
        $registration = Registration::query()->create([
            'name_id' => $name->id,
            'span' => Span::since($created),
            'created_on' => $created,
            'ends_on' => $told['ends'] === null ? null : Instant::of($told['ends']),
            'moved_on' => isset($told['moved']) ? Instant::of($told['moved']) : null,
            'statuses' => $told['statuses'] ?? [],
            'lock' => $told['lock'] ?? 'unknown',
            'intent' => $told['intent'],
            'servers' => Outside::servers($told['client']),
            'shown' => ['organisation'],
            'disclosure' => 'redacted',
            'reference' => 'R'.str_pad((string) (40_000 + $name->id * 7), 6, '0', STR_PAD_LEFT),
            'sources' => array_fill_keys(
                ['created', 'ends', 'lock', 'intent', 'registrant', 'mailbox'],
                ['from' => 'typed', 'at' => '2023-06-02'],
            ),
        ]);
        foreach ($told['extras'] ?? [] as $kind) {
            Extra::query()->create(['registration_id' => $registration->id, 'kind' => $kind]);
        }
        Holding::query()->create([
            'name_id' => $name->id,
            'registration_id' => $registration->id,
            'account_id' => $this->accounts[$told['account']]->id,
            'client_id' => $client->id,
            'span' => Span::since(Instant::latest($created, Instant::of('2023-06-02'))),
        ]);
        $this->registrants->of(
            [$name->id => ['registrant' => $told['registrant'] ?? $client->name, 'mailbox' => $told['mailbox'] ?? $client->mailbox]],
            'typed',
            null,
        );
        $this->names[$domain->ascii] = $name->id;
    }

    /** Handovers of three years, one that waits today, and one that a Clerk has prepared. */
    private function deeds(): void
    {
        $this->handOver('2024-06-02', '51877', $this->some('foundry', '40718', 4, '2024-06-02'), '2024-06-04');
        $this->handOver('2025-03-03', 'H-3115', $this->some('boatyard', 'H-2207', 4, '2025-01-20'), '2025-03-05');
        $this->handOver('2025-09-16', '52044', $this->some('choir', '40718', 4, '2025-09-16'), '2025-09-16');
        $this->handOver('2026-06-09', '51877', $this->some('foundry', '40718', 2, '2026-06-09'), '2026-06-11');
        $this->handOver(
            '2026-10-02',
            '51877',
            [$this->names['bell-tuning.org'], ...$this->some('foundry', '40718', 1, '2026-10-02')],
            null,
        );
        $this->handOver('2026-10-05', '51902', $this->some('kelp', '40718', 3, '2026-10-05'), null, prepared: true);
    }

    /** @return list<int> names of a client in an account that end well after the story begins */
    private function some(string $client, string $account, int $count, string $day): array
    {
        $ids = Name::query()
            ->whereHas(
                'holdings',
                fn ($holdings) => $holdings
                    ->where('account_id', $this->accounts[$account]->id)
                    ->where('client_id', $this->clients[$client]->id)
                    ->whereRaw('upper_inf(span)'),
            )
            ->whereHas(
                'registration',
                fn ($registrations) => $registrations->where('ends_on', '>', '2027-02-01')->where('created_on', '<', $day),
            )
            ->whereNotIn('ascii', array_map(fn (array $told): string => DomainName::of($told['name'])->ascii, Names::told()))
            ->orderBy('id')
            ->limit($count)
            ->toBase()
            ->pluck('id')
            ->all();

        return array_map(fn (mixed $id): int => is_int($id) ? $id : 0, array_values($ids));
    }

    /** @param  list<int>  $names */
    private function handOver(string $day, string $to, array $names, ?string $doneOn, bool $prepared = false): void
    {
        if ($names === []) {
            return;
        }
        $this->clock->set(Instant::of($day)->plusSeconds(10 * 3600));
        $this->standings->due();
        $account = $this->accounts[$to];
        $terms = new HandoverTermsChosen($account->id, null, $this->clock->today()->plusDays(14));
        $steward = User::query()->where('role', Role::Steward)->firstOrFail();
        $clerk = User::query()->where('role', Role::Clerk)->firstOrFail();
        $docket = $this->prepare->handle($prepared ? $clerk : $steward, (string) Str::uuid(), 'hand_over', $names, $terms->pack(), $names);
        if ($prepared) {
            return;
        }
        $this->settle->handle($steward, $docket);
        $this->begin->handle($docket->id);
        if ($doneOn !== null) {
            $this->clock->set(Instant::of($doneOn)->plusSeconds(15 * 3600));
            $this->end->done($steward, Docket::query()->findOrFail($docket->id), null, Instant::of($doneOn));
        }
    }
}
