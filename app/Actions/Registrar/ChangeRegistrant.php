<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\Material;
use Acre\Core\Contact\RegistrantChange;
use Acre\Core\Contact\RegistrantFinding;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Field;
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
        $new = $this->value($terms);
        if ($new === null || $file->facts->has(Status::ClientUpdateProhibited, Status::ServerUpdateProhibited)) {
            return [$new === null ? Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: '') : Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)];
        }
        $starts = Material::of($this->book->for($file->facts->name->suffix(), $now), $now);

        return (new RegistrantChange($new, $file->guard, $starts, $file->holdDeclinable, $file->waiting?->docket))->findings($file->facts->name->suffix(), $file->account->registrarName);
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
}
