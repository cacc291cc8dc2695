<?php

declare(strict_types=1);

namespace App\Actions\Verification;

use App\Actions\Links\IssueLink;
use App\Actions\Links\LinkOf;
use App\Actions\Standings\MakeStandings;
use App\Models\Letter;
use App\Models\LetterState;
use App\Models\LinkPurpose;
use App\Models\Mailbox;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Somebody has shown that a mailbox is theirs: every name that carries it is verified by that. */
final readonly class VerifyMailbox
{
    public function __construct(
        private Connection $database,
        private IssueLink $links,
        private MakeStandings $standings,
        private TradeClock $clock,
        private HouseLog $log,
        private Words $words,
    ) {
    }

    /**
     * @param  'letter'|'call'|'registrar'  $by
     * @param  string  $words  what proves it, where no letter does
     * @return bool false: it was verified already
     */
    public function handle(int $mailboxId, string $by, string $words = '', ?User $user = null): bool
    {
        $isNew = $this->database->transaction(function () use ($mailboxId, $by, $words, $user): bool {
            $mailbox = Mailbox::query()->lockForUpdate()->findOrFail($mailboxId);
            // A registrar's own letter is answered for more than ours was.
            if ($mailbox->verified_on !== null && ($by !== 'registrar' || $mailbox->verified_by === 'registrar')) {
                return false;
            }
            $mailbox->update([
                'verified_on' => $this->clock->now(),
                'verified_by' => $by,
                'verified_words' => $words === '' ? null : mb_substr($words, 0, 1_000),
                'verified_user_id' => $user?->id,
            ]);
            $this->links->withdraw(LinkPurpose::VerifyMailbox, LinkOf::mailbox($mailboxId));
            // What still waits to be sent asks for what is answered.
            Letter::query()
                ->where('mailbox_id', $mailboxId)
                ->where('kind', 'verification')
                ->whereIn('state', [LetterState::Waiting, LetterState::Doubtful])
                ->update(['state' => LetterState::CalledOff, 'answer' => $this->words->say('letters.verified_meanwhile')]);
            $this->standings->staleByMailbox([$mailboxId]);
            $this->log->write('mailbox_verified', 'mailbox', $mailboxId, ['by' => $by], $user?->id);

            return true;
        });
        $this->standings->due(batches: 2);

        return $isNew;
    }
}
