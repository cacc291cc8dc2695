<?php

declare(strict_types=1);

namespace App\Actions\Post;

use Acre\Wire\Mail\DeliveryReport;
use Acre\Wire\Mail\MailError;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Standings\MakeStandings;
use App\Models\Letter;
use App\Models\LetterState;
use App\Models\Mailbox;
use App\Outside\Post\BounceMailbox;
use App\Outside\Reach\NotReached;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Takes what came back, and what people wrote back, and notes it on what it is about; any step may be repeated. */
final readonly class CollectReturned
{
    public function __construct(
        private Connection $database,
        private BounceMailbox $returns,
        private MakeStandings $standings,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    public function handle(): void
    {
        try {
            $this->returns->take($this->keep(...));
        } catch (NotReached) {
            // What was kept stands; the rest waits there.
        }
    }

    private function keep(string $raw): void
    {
        try {
            $mail = MailLetter::read($raw);
        } catch (MailError) {
            // Nothing that a mail server would write; it is removed unread.
            return;
        }
        if ($mail->report !== null) {
            $this->returned($mail->report);
        } elseif ($mail->answers !== null && ! $mail->isAutomatic) {
            $this->answered($mail, $mail->answers, mb_substr($mail->id ?? hash('sha256', $raw), 0, 300));
        }
    }

    private function returned(DeliveryReport $report): void
    {
        if ($report->letter === null || ! $report->isEnd()) {
            return;
        }
        $this->database->transaction(function () use ($report): void {
            $letter = Letter::query()
                ->where('message_id', $report->letter)
                ->whereIn('state', [LetterState::Sent, LetterState::Doubtful, LetterState::Sending])
                ->lockForUpdate()
                ->first();
            // Most servers say the status in their words too.
            $said = str_contains($report->words, $report->status) ? $report->words : "{$report->status} {$report->words}";
            $letter?->update(['state' => LetterState::Returned, 'answer' => mb_substr(trim($said), 0, 900)]);
            if ($letter?->mailbox_id !== null) {
                $this->standings->staleByMailbox([$letter->mailbox_id]);
                $this->log->write('letter_returned', 'mailbox', $letter->mailbox_id, ['letter' => $letter->id]);
            }
            if ($letter?->docket_id !== null) {
                $this->log->write('letter_returned', 'docket', $letter->docket_id, ['letter' => $letter->id]);
            }
        });
    }

    /**
     * Somebody wrote back instead of following the link: a person reads what they say, and from where it came is kept. Nothing is verified
     * by it: a sender is easily forged.
     */
    private function answered(MailLetter $mail, string $answers, string $id): void
    {
        $this->database->transaction(function () use ($mail, $answers, $id): void {
            $letter = Letter::query()->where('message_id', $answers)->whereNull('user_id')->lockForUpdate()->first();
            $mailbox =
                $letter === null
                    ? null
                    : Mailbox::query()
                        ->where('id', $letter->mailbox_id)
                        ->orWhereRaw('lower(address) = lower(?)', [$letter->mailbox])
                        ->lockForUpdate()
                        ->first();
            $sender = $mail->sender();
            if ($letter === null || $mailbox === null || $sender === null) {
                return;
            }
            $words = trim((string) preg_replace('/\s+/u', ' ', (string) preg_replace('/^>.*$/m', '', $mail->text)));
            $isNew =
                $this->database
                    ->table('objections')
                    ->insertOrIgnore([
                        'mailbox_id' => $mailbox->id,
                        'words' => mb_substr($words === '' ? $mail->subject.' …' : $words, 0, 1_000),
                        'said_on' => $this->clock->now()->isoSecond(),
                        'said_by' => 'mail',
                        'message_id' => $id,
                    ]) === 1;
            if (! $isNew) {
                return;
            }
            $mailbox->update(['forwards_to' => $sender === mb_strtolower($mailbox->address) ? null : mb_substr($sender, 0, 320)]);
            $this->standings->staleByMailbox([$mailbox->id]);
            $this->log->write('letter_answered', 'mailbox', $mailbox->id, ['letter' => $letter->id]);
        });
    }
}
