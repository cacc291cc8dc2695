<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use App\Actions\Deeds\DeedError;
use App\Actions\Links\LinkOf;
use App\Actions\Post\WriteLetter;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Letter;
use App\Models\LetterKind;
use App\Models\LetterState;
use App\Models\LineState;
use App\Models\LinkPurpose;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Writes to the receiver of a handover, who says yes before anything moves: one letter a docket, with a link that is good once. */
final readonly class AskReceiver
{
    /** Days after the day that was named for which the link is good. */
    private const LATE = 1;

    public function __construct(
        private Connection $database,
        private WriteLetter $letters,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
    ) {
    }

    /**
     * Once a docket, however many of its lines ask for it. In the caller's transaction.
     *
     * @return Acceptance as it stands: a line that begins late may find it answered
     */
    public function handle(Docket $docket, Account $receiver): Acceptance
    {
        $asked = $this->database->table('acceptances')->insertOrIgnore([
            'docket_id' => $docket->id,
            'account_id' => $receiver->id,
            'mailbox' => (string) $receiver->mailbox,
            'asked_on' => $this->clock->now()->isoSecond(),
            'created_at' => gmdate('c'),
            'updated_at' => gmdate('c'),
        ]);
        if ($asked === 1) {
            $this->write($docket, $receiver);
        }

        return Acceptance::query()->lockForUpdate()->findOrFail($docket->id);
    }

    /**
     * Writes once more, to the mailbox that the account has now; the link in the previous letter is no longer valid.
     *
     * @throws DeedError when nobody waits for an answer
     */
    public function again(User $user, Docket $docket): void
    {
        $this->database->transaction(function () use ($user, $docket): void {
            $locked = Docket::query()->lockForUpdate()->findOrFail($docket->id);
            $acceptance = Acceptance::query()->with('account.registrar')->lockForUpdate()->find($docket->id);
            if (
                $acceptance === null ||
                $acceptance->answered_on !== null ||
                $locked->state !== DocketState::Settled ||
                ($acceptance->account->mailbox ?? '') === ''
            ) {
                throw DeedError::nobodyToAsk();
            }
            // The letter before was of another version.
            $locked->increment('version');
            // What still waits to be sent is not sent any more.
            Letter::query()
                ->where('docket_id', $docket->id)
                ->whereIn('state', [LetterState::Waiting, LetterState::Doubtful])
                ->update(['state' => LetterState::CalledOff, 'answer' => $this->words->say('letters.written_again')]);
            $acceptance->update(['mailbox' => $acceptance->account->mailbox, 'asked_on' => $this->clock->now()]);
            $this->write($locked->refresh(), $acceptance->account);
            $this->log->write('receiver_asked_again', 'docket', $docket->id, [], $user->id);
        });
    }

    private function write(Docket $docket, Account $receiver): void
    {
        /** @var list<string> $names */
        $names = DocketLine::query()
            ->join('names', 'names.id', '=', 'docket_lines.name_id')
            ->where('docket_id', $docket->id)
            ->whereIn('state', LineState::OPEN)
            ->orderBy('position')
            ->pluck('names.unicode')
            ->all();
        $this->letters->asking(
            LetterKind::Acceptance,
            LinkPurpose::AcceptHandover,
            LinkOf::docket($docket),
            (string) $receiver->mailbox,
            $names,
            HandoverTermsChosen::unpack($docket->terms)->answerBy,
            self::LATE,
            "docket {$docket->id}",
            [
                'registrar' => $receiver->registrar->name,
                'needed' => $this->words->say('words.receiver_by.'.$receiver->registrar->receiver_by->value),
            ],
        );
    }
}
