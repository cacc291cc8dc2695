<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Contact\Side;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Links\IssueLink;
use App\Actions\Links\LinkOf;
use App\Jobs\SendPost;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LetterState;
use App\Models\LinkPurpose;
use App\Models\Secret;
use App\Models\User;
use App\Queries\Letters\LetterTexts;
use App\Queries\Registrants\NamesAskedAbout;
use App\Support\Dates;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Writes to the registrant until then, or to the new one, who says yes before anybody outside is told: one letter a docket and side, with a link that is good once. */
final readonly class AskToConfirm
{
    /** Names that the letter lists; the page behind its link shows all. */
    private const LISTED = 40;

    /** Seconds. */
    private const SHORTEST = 86_400;

    /** Days after the day that was named for which the link is good. */
    private const LATE = 30;

    public function __construct(private Connection $database, private NamesAskedAbout $names, private LetterTexts $texts, private IssueLink $links, private TradeClock $clock, private Words $words, private HouseSettings $house, private HouseLog $log)
    {
    }

    /**
     * Once a docket, side and contact, however many lines ask for it. In the caller's transaction.
     *
     * @return Confirmation as it stands: a line that begins late may find it answered
     */
    public function handle(Docket $docket, Side $side, int $contactId, string $mailbox): Confirmation
    {
        $asked = $this->database->table('confirmations')->insertOrIgnore([
            'docket_id' => $docket->id, 'side' => $side->value, 'contact_id' => $contactId, 'mailbox' => $mailbox, 'asked_on' => $this->clock->now()->isoSecond(), 'created_at' => gmdate('c'), 'updated_at' => gmdate('c'),
        ]);
        $confirmation = Confirmation::query()->where('docket_id', $docket->id)->where('side', $side)->where('contact_id', $contactId)->lockForUpdate()->sole();
        if ($asked === 1) {
            $this->write($confirmation);
        }

        return $confirmation;
    }

    /**
     * Writes once more, to the mailbox that the contact has now; the link in the letter before is good no more.
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
            Letter::query()->where('confirmation_id', $locked->id)->whereIn('state', [LetterState::Waiting, LetterState::Doubtful])->update(['state' => LetterState::CalledOff, 'answer' => $this->words->say('letters.written_again')]);
            $locked->update(['mailbox' => $mailbox, 'asked_on' => $this->clock->now()]);
            $this->write($locked);
            $this->log->write('registrant_asked_again', 'docket', $docket->id, ['contact' => $locked->contact_id], $user->id);
        });
    }

    private function write(Confirmation $confirmation): void
    {
        $now = $this->clock->now();
        $docket = $confirmation->docket;
        $by = Instant::of(is_string($docket->terms['answer_by'] ?? null) ? $docket->terms['answer_by'] : $now->date());
        $link = $this->links->handle(LinkPurpose::ConfirmRegistrant, $confirmation->mailbox, LinkOf::confirmation($confirmation, $docket), max(self::SHORTEST, $by->plusDays(self::LATE)->epoch - $now->epoch));
        $secret = Secret::query()->create(['kind' => 'link', 'about' => "docket {$docket->id}", 'value' => $link]);
        $names = $this->names->of($confirmation);
        $listed = implode("\n", array_map(fn (Row $name): string => "  {$name->text('unicode')}", array_slice($names, 0, self::LISTED)));
        $said = [
            'house' => $this->house->name(), 'name' => ($names[0] ?? null)?->text('unicode') ?? '', 'by' => Dates::full($by), 'link' => Letter::LINK,
            'names' => count($names) > self::LISTED ? $listed."\n".$this->words->say('letters.more', ['more' => (string) (count($names) - self::LISTED)]) : $listed,
        ];
        $text = $this->texts->write($confirmation->side === Side::New ? LetterKind::ConfirmationNew : LetterKind::ConfirmationPrior, count($names), $said);
        Letter::query()->create([
            'kind' => 'confirmation', 'docket_id' => $docket->id, 'confirmation_id' => $confirmation->id, 'mailbox' => $confirmation->mailbox, 'written_on' => $now, 'day' => $now->date(), 'about' => "docket {$docket->id}", 'secret_id' => $secret->id,
            'subject' => $text->subject, 'body' => $text->body,
        ]);
        $this->database->afterCommit(fn () => SendPost::dispatch());
    }
}
