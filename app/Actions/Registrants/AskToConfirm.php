<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Links\LinkOf;
use App\Actions\Post\WriteLetter;
use App\Actions\Setbacks\SetAside;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LetterState;
use App\Models\LinkPurpose;
use App\Models\SetbackKind;
use App\Models\User;
use App\Queries\Registrants\NamesAskedAbout;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/**
 * Writes to the registrant until then, or to the new one, who says yes before anybody outside is told: one letter a docket and side, with a
 * link that is good once.
 */
final readonly class AskToConfirm
{
    /** Days after the day that was named for which the link is good. */
    private const LATE = 30;

    public function __construct(
        private Connection $database,
        private NamesAskedAbout $names,
        private WriteLetter $letters,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
        private SetAside $aside,
    ) {
    }

    /**
     * Once a docket, side and contact, however many lines ask for it. In the caller's transaction.
     *
     * @return Confirmation as it stands: a line that begins late may find it answered
     */
    public function handle(Docket $docket, Side $side, int $contactId, string $mailbox): Confirmation
    {
        $asked = $this->database->table('confirmations')->insertOrIgnore([
            'docket_id' => $docket->id,
            'side' => $side->value,
            'contact_id' => $contactId,
            'mailbox' => $mailbox,
            'asked_on' => $this->clock->now()->isoSecond(),
            'created_at' => gmdate('c'),
            'updated_at' => gmdate('c'),
        ]);
        $confirmation = Confirmation::query()
            ->where('docket_id', $docket->id)
            ->where('side', $side)
            ->where('contact_id', $contactId)
            ->lockForUpdate()
            ->sole();
        if ($asked === 1) {
            $this->write($confirmation);
        }

        return $confirmation;
    }

    /**
     * Writes once more, to the mailbox that the contact has now; the link in the previous letter is no longer valid.
     *
     * @throws DeedError when nobody waits for an answer
     */
    public function again(User $user, Confirmation $confirmation): void
    {
        $this->database->transaction(function () use ($user, $confirmation): void {
            $docket = Docket::query()->lockForUpdate()->findOrFail($confirmation->docket_id);
            $locked = Confirmation::query()->lockForUpdate()->findOrFail($confirmation->id);
            $mailbox = Contact::query()->with('today.mailbox')->findOrFail($locked->contact_id)->today->mailbox?->address;
            if ($locked->answered_on !== null || $docket->state !== DocketState::Settled || $mailbox === null) {
                throw DeedError::nobodyToAsk();
            }
            Letter::query()
                ->where('confirmation_id', $locked->id)
                ->whereIn('state', [LetterState::Waiting, LetterState::Doubtful])
                ->update(['state' => LetterState::CalledOff, 'answer' => $this->words->say('letters.written_again')]);
            $locked->update(['mailbox' => $mailbox, 'asked_on' => $this->clock->now()]);
            $this->write($locked);
            $this->log->write('registrant_asked_again', 'docket', $docket->id, ['contact' => $locked->contact_id], $user->id);
        });
    }

    /**
     * New registrants whose data became others since they said yes, while nobody outside is told because the other side has
     * yet to answer: they are asked again. It may run twice.
     */
    public function anew(): void
    {
        $stale = Row::all(
            $this->database->select(
                "SELECT c.id, c.docket_id FROM confirmations c JOIN dockets d ON d.id = c.docket_id AND d.state = 'settled'
                    JOIN contact_versions v ON v.contact_id = c.contact_id AND upper_inf(v.span)
             WHERE c.side = 'new' AND c.confirmed AND c.version_id <> v.id ORDER BY c.id",
            ),
        );
        foreach ($stale as $row) {
            $this->aside->attempt(
                SetbackKind::Confirmation,
                $row->int('id'),
                fn () => $this->database->transaction(fn () => $this->askAnew($row->int('id'))),
                docketId: $row->int('docket_id'),
            );
        }
    }

    private function askAnew(int $confirmationId): void
    {
        $confirmation = Confirmation::query()->findOrFail($confirmationId);
        Docket::query()->lockForUpdate()->findOrFail($confirmation->docket_id);
        $confirmation = Confirmation::query()->lockForUpdate()->findOrFail($confirmationId);
        $contact = Contact::query()->with('today.mailbox')->findOrFail($confirmation->contact_id);
        $agreed = $confirmation->version_id === null ? null : ContactVersion::query()->with('mailbox')->find($confirmation->version_id);
        $mailbox = $contact->today->mailbox?->address;
        if (
            $agreed === null ||
            $mailbox === null ||
            ! MaterialChange::contradicts($agreed->value($contact->kind), $contact->today->value($contact->kind))
        ) {
            return;
        }
        $back = $this->database->update(
            'UPDATE legs g SET done_on = NULL FROM movements m
                WHERE m.id = g.movement_id AND m.closed_on IS NULL AND g.confirmation_id = ? AND g.done_on IS NOT NULL
             AND EXISTS (SELECT 1 FROM legs o WHERE o.movement_id = m.id AND o.confirmation_id <> g.confirmation_id AND o.done_on IS NULL)',
            [$confirmation->id],
        );
        if ($back > 0) {
            $confirmation->update([
                'answered_on' => null,
                'confirmed' => null,
                'carried_at' => null,
                'version_id' => null,
                'mailbox' => $mailbox,
                'asked_on' => $this->clock->now(),
            ]);
            $this->write($confirmation);
            $this->log->write('registrant_asked_again', 'docket', $confirmation->docket_id, ['contact' => $contact->id]);
        }
    }

    private function write(Confirmation $confirmation): void
    {
        $docket = $confirmation->docket;
        $by = Instant::of(is_string($docket->terms['answer_by'] ?? null) ? $docket->terms['answer_by'] : $this->clock->today()->date());
        $names = array_map(fn (Row $name): string => $name->text('unicode'), $this->names->of($confirmation));
        $kind = $confirmation->side === Side::New ? LetterKind::ConfirmationNew : LetterKind::ConfirmationPrior;
        $this->letters->asking(
            $kind,
            LinkPurpose::ConfirmRegistrant,
            LinkOf::confirmation($confirmation, $docket),
            $confirmation->mailbox,
            $names,
            $by,
            self::LATE,
            "docket {$docket->id}",
        );
    }
}
