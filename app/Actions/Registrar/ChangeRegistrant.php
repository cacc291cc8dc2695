<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\ContactFinding;
use Acre\Core\Contact\Guard;
use Acre\Core\Contact\Material;
use Acre\Core\Contact\RegistrantFinding;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Field;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Contacts\SayRegistrants;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\NamesPeople;
use App\Actions\Deeds\Openings;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\CaseFile;
use Illuminate\Support\Facades\DB;

/** Another legal holder: who must confirm it, what it starts, and the old one's span ended. It goes by slip, whatever link its registrar has. */
final class ChangeRegistrant extends DeedAtRegistrar implements NamesPeople
{
    private const OFFERED = 200;

    /** @var array<int, Contact|null> */
    private array $contacts = [];

    public function __construct(Rulebook $book, GateOrders $orders, Slips $slips, private readonly SayRegistrants $registrants)
    {
        parent::__construct($book, $orders, $slips);
    }

    public static function key(): string
    {
        return 'change_registrant';
    }

    /** Those written down last, by number; any other is found by its number, its mailbox or how it is called. */
    public function choices(): array
    {
        $choices = [];
        foreach (Contact::query()->whereNull('merged_into')->with('today.mailbox')->orderByDesc('id')->limit(self::OFFERED)->get() as $contact) {
            $choices[$contact->id] = trim($contact->today->called.' · '.($contact->today->mailbox->address ?? self::text('deeds.change_registrant.no_mailbox')), ' ·');
        }

        return $choices;
    }

    public function terms(array $said): ?array
    {
        // A page begins with its terms: what was read for the one before may have changed.
        $this->contacts = [];
        $contact = $this->meant($said['contact'] ?? null);
        $word = fn (string $key): string => is_string($said[$key] ?? null) ? mb_substr(trim($said[$key]), 0, 1_000) : '';

        // Every change of registrant is agreed to by somebody, and that is kept.
        return $contact === null || $word('agreement') === '' || $word('authority') === '' ? null : ['contact' => $contact->id, 'agreement' => $word('agreement'), 'authority' => $word('authority')];
    }

    public function said(array $terms): array
    {
        return array_filter(array_map(fn (mixed $value): string => is_scalar($value) ? (string) $value : '', array_intersect_key($terms, ['contact' => 1, 'agreement' => 1, 'authority' => 1])), fn (string $word): bool => $word !== '');
    }

    /** No link of ours takes contacts yet: a person does it at the registrar's page. */
    public function perform(DocketLine $line, CaseFile $file, Readiness $readiness, array $terms, Instant $now, Openings $openings): LineState
    {
        DB::table('agreements')->insertOrIgnore([
            'docket_id' => $line->docket_id, 'contact_id' => self::id($terms), 'words' => $terms['agreement'] ?? '', 'authority' => $terms['authority'] ?? '', 'accepted_on' => $now->isoSecond(), 'user_id' => $line->docket->settled_by,
        ]);

        return LineState::Begun;
    }

    public function complete(DocketLine $line, CaseFile $file, array $terms, Instant $on): void
    {
        $this->registrants->give($line->name_id, $file->registrationId, self::id($terms), $line->docket_id, $on);
        parent::complete($line, $file, $terms, $on);
    }

    public function beforeAndAfter(CaseFile $file, array $terms): array
    {
        return ['before' => ['registrant' => $file->guard === null ? self::text('deeds.change_registrant.not_known') : "contact {$file->guard->contact}"], 'after' => ['registrant' => 'contact '.self::id($terms)]];
    }

    public function shown(CaseFile $file, array $terms): array
    {
        $after = $this->contact(self::id($terms));

        return ['before' => ['registrant' => $file->registrant === '' ? self::text('deeds.change_registrant.not_known') : $file->registrant], 'after' => ['registrant' => $after === null ? '' : $after->today->called]];
    }

    /** For the proof, which names people by number. */
    public function inOneLine(Docket $docket): string
    {
        $said = __('deeds.change_registrant.one_line', ['who' => 'contact '.self::id($docket->terms)]);

        return is_string($said) ? $said : self::key();
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Registrant;
    }

    protected function slipValues(Account $account, array $terms): array
    {
        $value = $this->value($terms);
        $values = [];
        foreach (Field::cases() as $field) {
            $said = $value?->field($field);
            if ($said !== null) {
                $values[self::text('contacts.field.'.$field->value)] = $said;
            }
        }

        return $values;
    }

    protected function isSo(CaseFile $file, array $terms): bool
    {
        return $file->guard?->contact === self::id($terms);
    }

    protected function against(CaseFile $file, array $terms, Instant $now): array
    {
        $value = $this->value($terms);
        $what = Material::of($this->book->for($file->facts->name->suffix(), $now), $now);
        if ($value?->mailbox === null) {
            return [Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: $value?->called() ?? '')];
        }
        if ($file->facts->has(Status::ClientUpdateProhibited, Status::ServerUpdateProhibited)) {
            return [Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)];
        }
        $findings = $file->waiting === null ? [] : [Finding::of(RegistrantFinding::WhileMoving, Effect::Stops, null, docket: $file->waiting->docket)];
        foreach ($value->findings() as $finding) {
            if ($finding->tag === ContactFinding::Lacks) {
                $findings[] = Finding::of(RegistrantFinding::NewLacks, Effect::Worth, null, who: $value->called(), what: is_string($finding->with['what']) ? $finding->with['what'] : '');
            }
        }

        return [...$findings, ...self::starts($file, $value, $what)];
    }

    protected function write(Registration $registration, CaseFile $file, array $terms): string
    {
        return 'registrant';
    }

    protected function inWords(array $terms): array
    {
        $contact = $this->contact(self::id($terms));

        return ['who' => $contact === null ? 'contact '.self::id($terms) : $contact->today->called];
    }

    /** @return list<Finding> what it starts, and who must confirm it */
    private static function starts(CaseFile $file, ContactValue $value, Material $what): array
    {
        $mailbox = (string) $value->mailbox?->address();
        $findings = [match ($what->confirms) {
            RegistrantConfirms::Both => Finding::of(RegistrantFinding::BothConfirm, Effect::Worth, null, prior: self::prior($file->guard), new: $mailbox),
            RegistrantConfirms::Registry => Finding::of(RegistrantFinding::RegistryConfirms, Effect::Worth, null, suffix: $file->facts->name->suffix()),
            RegistrantConfirms::New, RegistrantConfirms::Nobody => Finding::of(RegistrantFinding::NewConfirms, Effect::Worth, null, new: $mailbox),
        }];
        if ($what->holdUntil !== null) {
            $findings[] = $file->holdDeclinable
                ? Finding::of(RegistrantFinding::HoldDeclinable, Effect::Worth, null, registrar: $file->account->registrarName, until: $what->holdUntil)
                : Finding::of(RegistrantFinding::StartsHold, Effect::Worth, null, until: $what->holdUntil);
        }
        if ($what->verifyBy !== null) {
            $findings[] = Finding::of(RegistrantFinding::StartsVerification, Effect::Worth, null, mailbox: $mailbox, by: $what->verifyBy);
        }

        return $findings;
    }

    private static function prior(?Guard $guard): string
    {
        return $guard->mailbox ?? self::text('deeds.change_registrant.no_mailbox');
    }

    /** @param  array<string, mixed>  $terms */
    private function value(array $terms): ?ContactValue
    {
        $contact = $this->contact(self::id($terms));

        return $contact === null ? null : $contact->today->value($contact->kind);
    }

    private function meant(mixed $said): ?Contact
    {
        $said = is_scalar($said) ? trim((string) $said) : '';
        if (preg_match('/^\d{1,18}$/D', $said) === 1) {
            return $this->contact((int) $said);
        }
        $found = $said === '' ? [] : ContactVersion::query()->whereRaw('upper_inf(span)')->whereRaw('(lower(called) = lower(?) OR mailbox_id = (SELECT id FROM mailboxes WHERE lower(address) = lower(?)))', [$said, $said])
            ->whereRaw('contact_id IN (SELECT id FROM contacts WHERE merged_into IS NULL)')->limit(2)->pluck('contact_id')->all();

        // Two that are called the same are told apart by number only.
        return count($found) === 1 && is_int($found[0]) ? $this->contact($found[0]) : null;
    }

    private function contact(int $id): ?Contact
    {
        return $this->contacts[$id] ??= Contact::query()->whereNull('merged_into')->with('today.mailbox')->find($id);
    }

    /** @param  array<string, mixed>  $terms */
    private static function id(array $terms): int
    {
        return is_int($terms['contact'] ?? null) ? $terms['contact'] : 0;
    }

    private static function text(string $key): string
    {
        $said = __($key);

        return is_string($said) ? $said : $key;
    }
}
