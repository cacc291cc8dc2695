<?php

declare(strict_types=1);

namespace App\Actions\Post;

use App\Actions\Setbacks\SetAside;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Letter;
use App\Models\LetterState;
use App\Models\Secret;
use App\Models\SetbackKind;
use App\Outside\Post\DeliveryOutcome;
use App\Outside\Post\Post;
use App\Outside\Post\Sent;
use App\Support\Failpoint;
use App\View\Words;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/**
 * Gives to the post what was written and not sent yet, one worker at a time. A letter is marked before it is given; found
 * marked, because a worker died, or silent at its end, it may have gone: it is given once more, as the same letter, and
 * then left.
 */
final readonly class SendLetters
{
    private const AT_ONCE = 500;

    /** Seconds until what was not taken is brought again, doubled each time up to the longest: the house's own choice, as are the tries. */
    private const AGAIN = 30;

    private const LONGEST = 14_400;

    /** Tries after which a post that never takes it has refused it. */
    private const TRIES = 12;

    private const DOUBTS = 2;

    public function __construct(
        private Connection $database,
        private Post $post,
        private MakeStandings $standings,
        private SetAside $aside,
        private Words $words,
    ) {
    }

    public function handle(): void
    {
        if ($this->database->scalar('SELECT pg_try_advisory_lock(7303, 0)') !== true) {
            return;
        }
        try {
            if (! $this->post->isThere()) {
                $this->database->update("UPDATE letters SET state = 'kept' WHERE state = 'waiting'");

                return;
            }
            // Nobody else is at it: what is marked was left by a worker that died.
            $this->database->update(
                "UPDATE letters SET doubts = doubts + 1, state = 'doubtful', not_before = clock_timestamp() WHERE state = 'sending'",
            );
            foreach ($this->due() as $letter) {
                $isReached = true;
                $this->aside->attempt(
                    SetbackKind::Letter,
                    $letter->id,
                    function () use ($letter, &$isReached): void {
                        $isReached = $this->give($letter);
                    },
                    docketId: $letter->docket_id,
                );
                if (! $isReached) {
                    // Each would wait as long for a post that is not there; they come round again.
                    break;
                }
            }
        } finally {
            $this->forgetLinks();
            $this->database->select('SELECT pg_advisory_unlock(7303, 0)');
        }
    }

    /** @return list<Letter> */
    private function due(): array
    {
        return array_values(
            Letter::query()
                ->where(
                    fn ($due) => $due
                        ->where('state', LetterState::Waiting)
                        ->orWhere(fn ($once) => $once->where('state', LetterState::Doubtful)->where('doubts', '<', self::DOUBTS)),
                )
                ->whereRaw('not_before <= clock_timestamp()')
                ->orderBy('id')
                ->limit(self::AT_ONCE)
                ->get()
                ->all(),
        );
    }

    /** @return bool false: the post was not reached */
    private function give(Letter $letter): bool
    {
        if (
            $letter->docket_id !== null &&
            Docket::query()->whereKey($letter->docket_id)->where('state', DocketState::Settled)->doesntExist()
        ) {
            $letter->update(['state' => LetterState::CalledOff, 'answer' => $this->words->say('letters.called_off')]);

            return true;
        }
        $id = $letter->message_id ?? strtolower((string) Str::ulid()).'@'.Str::after(config()->string('mail.from.address'), '@');
        $letter->update(['state' => LetterState::Sending, 'message_id' => $id, 'attempts' => $letter->attempts + 1]);
        Failpoint::LetterMarked->reach();
        $link = $letter->secret_id === null ? '' : Secret::query()->findOrFail($letter->secret_id)->value;
        $sent = $this->post->send($letter, $id, str_replace(Letter::LINK, $link, $letter->body));
        Failpoint::LetterGiven->reach();
        $this->database->transaction(fn () => $this->note($letter, $sent));

        return $sent->isReached;
    }

    private function note(Letter $letter, Sent $sent): void
    {
        $isGivenUp = $sent->fate === DeliveryOutcome::Later && $letter->attempts >= self::TRIES;
        $mayHaveGone = $letter->doubts > 0 || $sent->fate === DeliveryOutcome::Doubtful;
        $state = match (true) {
            $sent->fate === DeliveryOutcome::Taken => LetterState::Sent,
            $sent->fate === DeliveryOutcome::Refused => LetterState::Refused,
            // Once it may have gone it never counts as not sent.
            $mayHaveGone => LetterState::Doubtful,
            default => $isGivenUp ? LetterState::Refused : LetterState::Waiting,
        };
        $doubts = $isGivenUp && $mayHaveGone ? self::DOUBTS : $letter->doubts + ($sent->fate === DeliveryOutcome::Doubtful ? 1 : 0);
        $this->database->update(
            "UPDATE letters SET state = ?, doubts = ?, answer = ?, sent_at = CASE WHEN ? THEN clock_timestamp() ELSE sent_at END,
                not_before = clock_timestamp() + ? * interval '1 second' WHERE id = ?",
            [
                $state->value,
                $doubts,
                $sent->words === '' ? null : $sent->words,
                $state === LetterState::Sent,
                min(self::LONGEST, self::AGAIN * 2 ** min(10, $letter->attempts - 1)),
                $letter->id,
            ],
        );
        $this->tellOf($letter, $state);
    }

    /** What became of it must be known for every name that the mailbox guards. */
    private function tellOf(Letter $letter, LetterState $state): void
    {
        if ($letter->mailbox_id !== null && ($state === LetterState::Refused || $state === LetterState::Sent)) {
            $this->standings->staleByMailbox([$letter->mailbox_id]);
        }
    }

    /** A link that will not be sent any more is nobody's to keep. */
    private function forgetLinks(): void
    {
        $this->database->delete(
            "DELETE FROM secrets s USING letters l WHERE l.secret_id = s.id AND s.kind = 'link'
                AND NOT (l.state IN ('waiting', 'sending') OR (l.state = 'doubtful' AND l.doubts < ?))",
            [self::DOUBTS],
        );
    }
}
