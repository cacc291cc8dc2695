<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Registrant\DesignatedAgent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;

/** Who is to be the registrant, from what was typed; each contact is read once a page. */
final class WhoIsMeant
{
    private const OFFERED = 200;

    /** Days for an answer, where nothing else is said: the house's own choice. */
    private const ANSWER_DAYS = 14;

    /** @var array<int, Contact|null> */
    private array $contacts = [];

    /** @var array<int, ContactVersion> */
    private array $versions = [];

    public function __construct(private readonly TradeClock $clock, private readonly Words $words)
    {
    }

    /** @return array<int, string> those recorded last, by number; any other is found by its number, its mailbox or how it is called */
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

    public function value(RegistrantChosen $chosen): ?ContactValue
    {
        $contact = $this->contact($chosen->contactId);

        return $contact === null ? null : $contact->today->value($contact->kind);
    }

    public function contact(int $id): ?Contact
    {
        return $this->contacts[$id] ??= Contact::query()->whereNull('merged_into')->with('today.mailbox')->find($id);
    }

    public function version(int $id): ContactVersion
    {
        return $this->versions[$id] ??= ContactVersion::query()->with('mailbox')->findOrFail($id);
    }

    /** What the registrar has of the same registrant; null: another one is to be. */
    public function told(HeldCase $file, RegistrantChosen $chosen): ?ContactValue
    {
        $told = $file->guard?->contact === $chosen->contactId ? $file->guard->told : null;

        // What kind of holder they are may have been found out since, and is no change of theirs.
        return $told === null ? null : $this->version($told)->value(HolderKind::Unknown);
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
}
