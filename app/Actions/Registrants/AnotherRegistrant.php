<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Movement\Leg;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Registrant\RegistrantChange;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\DeedError;
use App\Models\Contact;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Order;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\HeldCase;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * What every deed shares that gives names another registrant: how it is judged, whose yes it waits for, what the registrar is told, and
 * what is written when it is so.
 */
final readonly class AnotherRegistrant
{
    public function __construct(
        private Connection $database,
        private Rulebook $book,
        private RecordRegistrants $registrants,
        private AskToConfirm $ask,
        private WhoIsMeant $who,
        private Words $words,
    ) {
    }

    /**
     * @param  int|null  $moving  the docket by which the name is moving already
     * @return RegistrantChange|null null: there is no such contact any more
     */
    public function change(HeldCase $file, RegistrantChosen $chosen, Instant $now, ?int $moving): ?RegistrantChange
    {
        $new = $this->who->value($chosen);

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
                $this->who->told($file, $chosen),
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
                    ? [$chosen->contactId, $this->who->value($chosen)?->mailbox?->address()]
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
        return ['version' => (string) ($this->who->contact($chosen->contactId)->today->id ?? 0)];
    }

    /** Whether the record shows them; where it shows nothing of anybody, whether it was changed since. */
    public function isSeen(DocketLine $line, RegistrantChosen $chosen, Record $record): bool
    {
        $value = $this->who->value($chosen);

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
        $this->registrants->told($line->name_id, $told === null ? $this->who->contact($chosen->contactId)->today->id ?? 0 : (int) $told);
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
}
