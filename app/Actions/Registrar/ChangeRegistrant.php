<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\DesignatedAgent;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Material;
use Acre\Core\Contact\RegistrantChange;
use Acre\Core\Contact\RegistrantFinding;
use Acre\Core\Contact\Side;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Leg as CoreLeg;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Field;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use Acre\Core\Title\BookFinding;
use App\Actions\Contacts\SayRegistrants;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\NamesPeople;
use App\Actions\Deeds\Openings;
use App\Actions\Deeds\WaitsForWord;
use App\Actions\Gates\GateOrders;
use App\Actions\Registrants\AskToConfirm;
use App\Models\Account;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Models\Order;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slips;
use App\Queries\Names\CaseFile;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;

/** Another legal holder: who must say yes, by letter or by the house as their agent; then the registrar is told, and the old one's span ends. */
final class ChangeRegistrant extends DeedAtRegistrar implements NamesPeople, WaitsForWord
{
    private const OFFERED = 200;

    /** Days for an answer, where nothing else is said. */
    private const ANSWER_DAYS = 14;

    /** @var array<int, Contact|null> */
    private array $contacts = [];

    /** @var array<int, ContactVersion> */
    private array $told = [];

    public function __construct(Rulebook $book, GateOrders $orders, Slips $slips, private readonly SayRegistrants $registrants, private readonly AskToConfirm $ask, private readonly TradeClock $clock)
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
        $agent = DesignatedAgent::tryFrom($word('agent')) ?? DesignatedAgent::Nobody;
        // Whoever says yes for another says on whose authority.
        if ($contact === null || ($agent !== DesignatedAgent::Nobody && $word('authority') === '')) {
            return null;
        }

        return ['contact' => $contact->id, 'agreement' => $word('agreement'), 'authority' => $word('authority'), 'agent' => $agent->value, 'answer_by' => $this->day($word('by'))->date()] + ($word('correct') === '' ? [] : ['correct' => '1']);
    }

    public function said(array $terms): array
    {
        $text = fn (mixed $value): string => is_scalar($value) ? (string) $value : '';

        return array_filter([...array_map($text, array_intersect_key($terms, ['contact' => 1, 'agreement' => 1, 'authority' => 1, 'agent' => 1, 'correct' => 1])), 'by' => $text($terms['answer_by'] ?? '')], fn (string $word): bool => $word !== '');
    }

    public function perform(DocketLine $line, CaseFile $file, Readiness $readiness, array $terms, Instant $now, Openings $openings): LineState
    {
        $this->keepAgreements($line, $file, $terms, $now);
        $words = $done = [];
        $waits = false;
        foreach (Side::cases() as $side) {
            $leg = array_values(array_filter($readiness->legs, fn (CoreLeg $leg): bool => $leg->kind === $side->leg()))[0] ?? null;
            $asked = $leg === null ? null : $this->ask($line, $file, $side, $terms);
            if ($asked?->confirmed === false) {
                throw DeedError::sideSaidNo(ucfirst(self::text("words.whose.{$side->value}")));
            }
            if ($asked !== null) {
                $words[$side->leg()->value] = $asked->id;
                $waits = $waits || $asked->answered_on === null;
                if ($asked->answered_on !== null) {
                    $done[$side->leg()->value] = $asked->answered_on;
                }
            }
        }
        $openings->movement($line, 'registrant', $readiness->legs, $now, self::by($terms), $done, $words);
        if (! $waits) {
            $this->goOn($line, $file, $terms, $openings);
        }

        return LineState::Begun;
    }

    public function goOn(DocketLine $line, CaseFile $file, array $terms, Openings $openings): void
    {
        $openings->order($line, $file->account->id, $this->order($terms), $this->orderTerms($file, $terms));
    }

    public function complete(DocketLine $line, CaseFile $file, array $terms, Instant $on): void
    {
        if ($file->guard?->contact !== self::id($terms)) {
            $this->registrants->give($line->name_id, $file->registrationId, self::id($terms), $line->docket_id, $on);
        }
        $this->registrants->told($line->name_id, $this->version($line, $terms));
        parent::complete($line, $file, $terms, $on);
        $this->close($line, $on, true);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        parent::abandon($line, $now);
        $this->close($line, $now, false);
    }

    public function beforeAndAfter(CaseFile $file, array $terms): array
    {
        $contact = $this->contact(self::id($terms));
        if ($contact !== null && $this->toldOf($file, $terms) !== null) {
            $number = $this->told[$file->guard->told ?? 0]->number ?? 0;

            return ['before' => ['registrant' => "contact {$contact->id}, version {$number}"], 'after' => ['registrant' => "contact {$contact->id}, version {$contact->today->number}"]];
        }

        return ['before' => ['registrant' => $file->guard === null ? self::text('deeds.change_registrant.not_known') : "contact {$file->guard->contact}"], 'after' => ['registrant' => 'contact '.self::id($terms)]];
    }

    public function shown(CaseFile $file, array $terms): array
    {
        $after = $this->contact(self::id($terms));
        $told = $this->toldOf($file, $terms);
        $value = $this->value($terms);
        if ($told !== null && $value !== null) {
            $before = $after = [];
            foreach ($told->differs($value) as $field) {
                foreach ([[&$before, $told], [&$after, $value]] as [&$side, $of]) {
                    $side[$field->value] = self::text('contacts.field.'.$field->value).': '.($of->field($field) ?? self::text('deeds.change_registrant.nothing'));
                }
            }

            return ['before' => $before, 'after' => $after];
        }

        return ['before' => ['registrant' => $file->registrant === '' ? self::text('deeds.change_registrant.not_known') : $file->registrant], 'after' => ['registrant' => $after === null ? '' : $after->today->called]];
    }

    /** The same registrant with other data is a heading of its own. */
    public function headline(array $terms, int $names): string
    {
        $key = 'deeds.change_registrant.'.(isset($terms['correct']) ? 'headline_correct' : 'headline');

        return trans_choice($key, $names, ['names' => number_format($names), ...$this->inWords($terms)]);
    }

    /** For the proof, which names people by number. */
    public function inOneLine(Docket $docket): string
    {
        $said = self::text('deeds.change_registrant.one_line', ['who' => 'contact '.self::id($docket->terms)]);
        foreach (Confirmation::query()->where('docket_id', $docket->id)->where('confirmed', true)->orderBy('answered_on')->orderBy('id')->get() as $one) {
            $said .= self::text('deeds.change_registrant.said_yes', ['who' => "contact {$one->contact_id}", 'on' => $one->answered_on?->isoSecond() ?? '']);
        }
        $agent = self::agent($docket->terms);

        return $said.($agent === DesignatedAgent::Nobody ? '' : self::text('deeds.change_registrant.as_agent', ['whose' => self::text("words.whose.{$agent->value}")]));
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Registrant;
    }

    protected function orderTerms(CaseFile $file, array $terms): array
    {
        return ['version' => (string) ($this->contact(self::id($terms))->today->id ?? 0)];
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
        return $file->guard?->contact === self::id($terms) && $file->guard->told === null;
    }

    protected function against(CaseFile $file, array $terms, Instant $now): array
    {
        if ($file->facts->has(Status::ClientUpdateProhibited, Status::ServerUpdateProhibited)) {
            return [Finding::of(BookFinding::UpdatesProhibited, Effect::Stops)];
        }

        return $this->change($file, $terms, $now)?->findings($file->facts->name->suffix(), $file->account->registrarName) ?? [Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: '')];
    }

    protected function legs(CaseFile $file, array $terms, Instant $now): array
    {
        return $this->change($file, $terms, $now)?->legs() ?? [];
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

    /**
     * The version that the registrar was told, or that stood on the slip.
     *
     * @param  array<string, mixed>  $terms
     */
    private function version(DocketLine $line, array $terms): int
    {
        $told = Order::query()->where('docket_line_id', $line->id)->where('kind', OrderKind::Registrant)->latest('id')->first()->terms['version'] ?? null;

        return $told === null ? $this->contact(self::id($terms))->today->id ?? 0 : (int) $told;
    }

    /**
     * What the registrar has of the same registrant; null: another one is to be.
     *
     * @param  array<string, mixed>  $terms
     */
    private function toldOf(CaseFile $file, array $terms): ?ContactValue
    {
        $contact = $this->contact(self::id($terms));
        $told = $file->guard?->contact === self::id($terms) ? $file->guard->told : null;
        if ($told === null || $contact === null) {
            return null;
        }

        // What kind of holder they are may have been found out since, and is no change of theirs.
        return ($this->told[$told] ??= ContactVersion::query()->with('mailbox')->findOrFail($told))->value(HolderKind::Unknown);
    }

    /** @param  array<string, mixed>  $terms */
    private function change(CaseFile $file, array $terms, Instant $now): ?RegistrantChange
    {
        $new = $this->value($terms);
        $starts = Material::of($this->book->for($file->facts->name->suffix(), $now), $now);

        return $new === null ? null : new RegistrantChange($new, $file->guard, $starts, self::agent($terms), self::by($terms), ($terms['agreement'] ?? '') !== '', ($terms['authority'] ?? '') !== '', $file->holdDeclinable, $file->waiting?->docket, $this->toldOf($file, $terms));
    }

    /** @param  array<string, mixed>  $terms */
    private function ask(DocketLine $line, CaseFile $file, Side $side, array $terms): Confirmation
    {
        $contact = $side === Side::New ? self::id($terms) : $file->guard->contact ?? 0;
        $mailbox = $side === Side::New ? $this->value($terms)?->mailbox?->address() : $file->guard?->mailbox;

        return $this->ask->handle($line->docket, $side, $contact, (string) $mailbox);
    }

    /**
     * What the house says yes to for others, on whose authority; who is written to gives their own.
     *
     * @param  array<string, mixed>  $terms
     */
    private function keepAgreements(DocketLine $line, CaseFile $file, array $terms, Instant $now): void
    {
        $starts = Material::of($this->book->for($file->facts->name->suffix(), $now), $now);
        foreach (Side::cases() as $side) {
            $contact = $side === Side::New ? self::id($terms) : $file->guard?->contact;
            $isOurs = $starts->confirms->asks($side) ? self::agent($terms)->actsFor($side) : $side === Side::New;
            if ($isOurs && $contact !== null && ($terms['authority'] ?? '') !== '' && ($terms['agreement'] ?? '') !== '') {
                DB::table('agreements')->insertOrIgnore([
                    'docket_id' => $line->docket_id, 'contact_id' => $contact, 'words' => $terms['agreement'], 'authority' => $terms['authority'], 'accepted_on' => $now->isoSecond(), 'user_id' => $line->docket->settled_by,
                ]);
            }
        }
    }

    private function close(DocketLine $line, Instant $on, bool $done): void
    {
        $movement = Movement::query()->where('name_id', $line->name_id)->where('docket_id', $line->docket_id)->whereNull('closed_on')->first();
        $movement?->update(['closed_on' => $on]);
        if ($movement !== null && $done) {
            Leg::query()->where('movement_id', $movement->id)->whereNull('done_on')->update(['done_on' => $on->isoSecond()]);
        }
    }

    /** The day by which answers are wanted: not before tomorrow. */
    private function day(string $said): Instant
    {
        try {
            $day = $said === '' ? $this->clock->today()->plusDays(self::ANSWER_DAYS) : Instant::of($said)->toDay();
        } catch (TimeError) {
            $day = $this->clock->today()->plusDays(self::ANSWER_DAYS);
        }

        return Instant::latest($day, $this->clock->today()->plusDays(1));
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
    private static function by(array $terms): Instant
    {
        return Instant::of(is_string($terms['answer_by'] ?? null) ? $terms['answer_by'] : '2000-01-01');
    }

    /**
     * Dockets of before letters went say none: what they wait for is done by hand.
     *
     * @param  array<string, mixed>  $terms
     */
    private static function agent(array $terms): DesignatedAgent
    {
        return DesignatedAgent::tryFrom(is_string($terms['agent'] ?? null) ? $terms['agent'] : '') ?? DesignatedAgent::Both;
    }

    /** @param  array<string, mixed>  $terms */
    private static function id(array $terms): int
    {
        return is_int($terms['contact'] ?? null) ? $terms['contact'] : 0;
    }
}
