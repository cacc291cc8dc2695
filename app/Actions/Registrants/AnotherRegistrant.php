<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Movement\Leg;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Registrant\DesignatedAgent;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Registrant\RegistrantChange;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\DeedError;
use App\Models\Account;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Order;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\SlipLetter;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * What every deed shares that gives names another registrant: who is meant, how it is judged, whose yes it waits for, what the registrar is
 * told, and what is written when it is so.
 */
final class AnotherRegistrant
{
    private const OFFERED = 200;

    /** Mailboxes of registrants that a slip names. */
    private const LISTED = 5;

    /** Days for an answer, where nothing else is said: the house's own choice. */
    private const ANSWER_DAYS = 14;

    /** @var array<int, Contact|null> */
    private array $contacts = [];

    /** @var array<int, ContactVersion> */
    private array $told = [];

    public function __construct(
        private readonly Connection $database,
        private readonly Rulebook $book,
        private readonly RecordRegistrants $registrants,
        private readonly AskToConfirm $ask,
        private readonly TradeClock $clock,
        private readonly Words $words,
    ) {
    }

    /** @return array<int, string> those written down last, by number; any other is found by its number, its mailbox or how it is called */
    public function choices(): array
    {
        $choices = [];
        foreach (
            Contact::query()->whereNull('merged_into')->with('today.mailbox')->orderByDesc('id')->limit(self::OFFERED)->get() as $contact
        ) {
            $choices[$contact->id] = trim(
                $contact->today->called.
                    ' · '.
                    ($contact->today->mailbox->address ?? $this->words->say('deeds.change_registrant.no_mailbox')),
                ' ·',
            );
        }

        return $choices;
    }

    /**
     * @param  array<array-key, mixed>  $said  in an address or a form
     * @return RegistrantChosen|null null: something is still to be chosen
     */
    public function chosen(array $said): ?RegistrantChosen
    {
        // A page begins with its terms: what was read for the one before may have changed.
        $this->contacts = [];
        $contact = $this->meant($said['contact'] ?? null);
        $word = fn (string $key): string => is_string($said[$key] ?? null) ? mb_substr(trim($said[$key]), 0, 1_000) : '';
        $agent = DesignatedAgent::tryFrom($word('agent')) ?? DesignatedAgent::Nobody;

        // Whoever says yes for another says on whose authority.
        return $contact === null || ($agent !== DesignatedAgent::Nobody && $word('authority') === '')
            ? null
            : new RegistrantChosen(
                $contact->id,
                $word('agreement'),
                $word('authority'),
                $agent,
                $this->day($word('by')),
                $word('correct') !== '',
            );
    }

    /**
     * @param  int|null  $moving  the docket by which the name is moving already
     * @return RegistrantChange|null null: there is no such contact any more
     */
    public function change(HeldCase $file, RegistrantChosen $chosen, Instant $now, ?int $moving): ?RegistrantChange
    {
        $new = $this->value($chosen);

        return $new === null
            ? null
            : new RegistrantChange(
                $new,
                $file->guard,
                $this->starts($file, $now),
                $chosen->agent,
                $chosen->answerBy,
                $chosen->agreement !== '',
                $chosen->authority !== '',
                $file->holdDeclinable,
                $moving,
                $this->told($file, $chosen),
            );
    }

    /** Whether it is so already, as far as our books know. */
    public function isSo(HeldCase $file, RegistrantChosen $chosen): bool
    {
        return $file->guard?->contact === $chosen->contactId && $file->guard->told === null;
    }

    /**
     * Keeps what the house agrees to for others, and writes to whoever must say yes themselves. In the line's transaction.
     *
     * @param  list<Leg>  $legs
     *
     * @throws DeedError when one of them has said no
     */
    public function ask(DocketLine $line, HeldCase $file, RegistrantChosen $chosen, array $legs, Instant $now): SidesAsked
    {
        $this->keepAgreements($line, $file, $chosen, $now);
        $kinds = array_map(fn (Leg $leg): string => $leg->kind->value, $legs);
        $words = $done = [];
        foreach (Side::cases() as $side) {
            $kind = RegistrantChange::leg($side)->value;
            if (! in_array($kind, $kinds, true)) {
                continue;
            }
            [$contact, $mailbox] =
                $side === Side::New
                    ? [$chosen->contactId, $this->value($chosen)?->mailbox?->address()]
                    : [$file->guard->contact ?? 0, $file->guard?->mailbox];
            $asked = $this->ask->handle($line->docket, $side, $contact, (string) $mailbox);
            if ($asked->confirmed === false) {
                throw DeedError::sideSaidNo(ucfirst($this->words->say("words.whose.{$side->value}")));
            }
            $words[$kind] = $asked->id;
            if ($asked->answered_on !== null) {
                $done[$kind] = $asked->answered_on;
            }
        }

        return new SidesAsked($words, $done);
    }

    /** @return array<string, string> what the registrar is told: the number of the version, whose data stand there alone */
    public function orderTerms(RegistrantChosen $chosen): array
    {
        return ['version' => (string) ($this->contact($chosen->contactId)->today->id ?? 0)];
    }

    /** @return array<string, string> for a slip, by what it is called */
    public function slipValues(RegistrantChosen $chosen): array
    {
        $value = $this->value($chosen);
        $values = [];
        foreach (Field::cases() as $field) {
            $said = $value?->field($field);
            if ($said !== null) {
                $values[$this->words->say('contacts.field.'.$field->value)] = $said;
            }
        }

        return $values;
    }

    /**
     * A registrar that asks registrants itself writes to both sides, where the rules ask them, and to the mailbox that is to be verified.
     *
     * @param  list<DocketLine>  $lines  of one account
     * @return list<SlipLetter>
     */
    public function slipLetters(Account $account, array $lines, RegistrantChosen $chosen): array
    {
        $new = $this->contact($chosen->contactId)?->today->mailbox;
        if ($account->registrar->verifies_by !== 'registrar' || $new === null || $chosen->isCorrection) {
            return [];
        }
        $now = $this->clock->now();
        $starts = array_map(
            fn (string $suffix): MaterialChange => MaterialChange::of($this->book->for($suffix, $now), $now),
            array_values(array_unique(array_map(fn (DocketLine $line): string => $line->name->suffix, $lines))),
        );
        $registrar = $account->registrar;
        $letters = [];
        if (array_filter($starts, fn (MaterialChange $one): bool => $one->confirms->asks(Side::Prior)) !== []) {
            $prior = array_values(
                array_filter(
                    $this->database
                        ->table('registrants')
                        ->whereIn('name_id', array_map(fn (DocketLine $line): int => $line->name_id, $lines))
                        ->whereNotNull('address')
                        ->distinct()
                        ->limit(self::LISTED)
                        ->orderBy('address')
                        ->pluck('address')
                        ->all(),
                    is_string(...),
                ),
            );
            $letters[] = new SlipLetter(
                'change',
                $registrar->name,
                $registrar->verification_sender,
                array_values(array_unique([...$prior, $new->address])),
            );
        }
        if ($new->verified_on === null && array_filter($starts, fn (MaterialChange $one): bool => $one->verifyBy !== null) !== []) {
            $letters[] = new SlipLetter('verify', $registrar->name, $registrar->verification_sender, [$new->address]);
        }

        return $letters;
    }

    /** Whether the record shows them; where it shows nothing of anybody, whether it was changed since. */
    public function isSeen(DocketLine $line, RegistrantChosen $chosen, Record $record): bool
    {
        $value = $this->value($chosen);

        return $value !== null &&
            (RecordDifference::names($value, $record) ??
                $record->changed !== null && $line->done_on !== null && ! $record->changed->isBefore($line->done_on));
    }

    /** Writes what is now so. In the line's transaction, the name locked. */
    public function complete(DocketLine $line, HeldCase $file, RegistrantChosen $chosen, Instant $on): void
    {
        if ($file->guard?->contact !== $chosen->contactId) {
            $this->registrants->give($line->name_id, $file->registrationId, $chosen->contactId, $line->docket_id, $on);
        }
        // The version that the registrar was told, or that stood on the slip.
        $told =
            Order::query()->where('docket_line_id', $line->id)->where('kind', OrderKind::Registrant)->latest('id')->first()->terms[
                'version'
            ] ?? null;
        $this->registrants->told($line->name_id, $told === null ? $this->contact($chosen->contactId)->today->id ?? 0 : (int) $told);
    }

    /** @return array{string, string} before and after, for the proof, which names people by number */
    public function beforeAndAfter(HeldCase $file, RegistrantChosen $chosen): array
    {
        $contact = $this->contact($chosen->contactId);
        if ($contact !== null && $this->told($file, $chosen) !== null) {
            return [
                "contact {$contact->id}, version ".($this->told[$file->guard->told ?? 0]->number ?? 0),
                "contact {$contact->id}, version {$contact->today->number}",
            ];
        }

        return [
            $file->guard === null ? $this->words->say('deeds.change_registrant.not_known') : "contact {$file->guard->contact}",
            "contact {$chosen->contactId}",
        ];
    }

    /**
     * @return array{before: array<string, string>, after: array<string, string>} for the page: what they are called, or what of them is
     *     corrected
     */
    public function shown(HeldCase $file, RegistrantChosen $chosen): array
    {
        [$told, $value] = [$this->told($file, $chosen), $this->value($chosen)];
        if ($told === null || $value === null) {
            return [
                'before' => [
                    'registrant' => $file->registrant === '' ? $this->words->say('deeds.change_registrant.not_known') : $file->registrant,
                ],
                'after' => ['registrant' => $this->called($chosen)],
            ];
        }
        $shown = ['before' => [], 'after' => []];
        foreach ($told->differs($value) as $field) {
            foreach (['before' => $told, 'after' => $value] as $when => $of) {
                $shown[$when][$field->value] =
                    $this->words->say('contacts.field.'.$field->value).
                    ': '.
                    ($of->field($field) ?? $this->words->say('deeds.change_registrant.nothing'));
            }
        }

        return $shown;
    }

    public function called(RegistrantChosen $chosen): string
    {
        return $this->contact($chosen->contactId)->today->called ?? "contact {$chosen->contactId}";
    }

    /** For the proof: who said yes and when, and for whom the house did. */
    public function wordsGiven(Docket $docket, RegistrantChosen $chosen): string
    {
        $said = '';
        $given = Confirmation::query()
            ->where('docket_id', $docket->id)
            ->where('confirmed', true)
            ->orderBy('answered_on')
            ->orderBy('id')
            ->get();
        foreach ($given as $one) {
            $said .= $this->words->say('deeds.change_registrant.said_yes', [
                'who' => "contact {$one->contact_id}",
                'on' => $one->answered_on?->isoSecond() ?? '',
            ]);
        }

        return $said.
            ($chosen->agent === DesignatedAgent::Nobody
                ? ''
                : $this->words->say('deeds.change_registrant.as_agent', [
                    'whose' => $this->words->say("words.whose.{$chosen->agent->value}"),
                ]));
    }

    /** What the registrar has of the same registrant; null: another one is to be. */
    private function told(HeldCase $file, RegistrantChosen $chosen): ?ContactValue
    {
        $told = $file->guard?->contact === $chosen->contactId ? $file->guard->told : null;

        // What kind of holder they are may have been found out since, and is no change of theirs.
        return $told === null
            ? null
            : ($this->told[$told] ??= ContactVersion::query()->with('mailbox')->findOrFail($told))->value(HolderKind::Unknown);
    }

    /** What the house says yes to for others, on whose authority; who is written to gives their own. */
    private function keepAgreements(DocketLine $line, HeldCase $file, RegistrantChosen $chosen, Instant $now): void
    {
        if ($chosen->authority === '' || $chosen->agreement === '') {
            return;
        }
        foreach ($this->change($file, $chosen, $now, null)?->agreedByHouse() ?? [] as $side) {
            $contact = $side === Side::New ? $chosen->contactId : $file->guard?->contact;
            if ($contact !== null) {
                $this->database->table('agreements')->insertOrIgnore([
                    'docket_id' => $line->docket_id,
                    'contact_id' => $contact,
                    'words' => $chosen->agreement,
                    'authority' => $chosen->authority,
                    'accepted_on' => $now->isoSecond(),
                    'user_id' => $line->docket->settled_by,
                ]);
            }
        }
    }

    private function starts(HeldCase $file, Instant $now): MaterialChange
    {
        return MaterialChange::of($this->book->for($file->facts->name->suffix(), $now), $now);
    }

    /** The day by which answers are wanted: not before tomorrow. */
    private function day(string $said): Instant
    {
        $today = $this->clock->today();
        try {
            $day = $said === '' ? $today->plusDays(self::ANSWER_DAYS) : Instant::of($said)->toDay();
        } catch (TimeError) {
            $day = $today->plusDays(self::ANSWER_DAYS);
        }

        return Instant::latest($day, $today->plusDays(1));
    }

    private function value(RegistrantChosen $chosen): ?ContactValue
    {
        $contact = $this->contact($chosen->contactId);

        return $contact === null ? null : $contact->today->value($contact->kind);
    }

    private function meant(mixed $said): ?Contact
    {
        $said = is_scalar($said) ? trim((string) $said) : '';
        if (preg_match('/^\d{1,18}$/D', $said) === 1) {
            return $this->contact((int) $said);
        }
        $found =
            $said === ''
                ? []
                : ContactVersion::query()
                    ->whereRaw('upper_inf(span)')
                    ->whereRaw('(lower(called) = lower(?) OR mailbox_id = (SELECT id FROM mailboxes WHERE lower(address) = lower(?)))', [
                        $said,
                        $said,
                    ])
                    ->whereRaw('contact_id IN (SELECT id FROM contacts WHERE merged_into IS NULL)')
                    ->limit(2)
                    ->pluck('contact_id')
                    ->all();

        // Two that are called the same are told apart by number only.
        return count($found) === 1 && is_int($found[0]) ? $this->contact($found[0]) : null;
    }

    private function contact(int $id): ?Contact
    {
        return $this->contacts[$id] ??= Contact::query()->whereNull('merged_into')->with('today.mailbox')->find($id);
    }
}
