<?php

declare(strict_types=1);

namespace App\Actions\Post;

use Acre\Wire\Mail\MailError;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Standings\MakeStandings;
use App\Models\Letter;
use App\Models\LetterState;
use App\Outside\Post\Returns;
use App\Outside\Reach\NotReached;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Takes what came back, and notes it on the letter that it is about; any step may be repeated. */
final readonly class TakeReturned
{
    public function __construct(private Connection $database, private Returns $returns, private MakeStandings $standings, private HouseLog $log)
    {
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
            $report = MailLetter::read($raw)->report;
        } catch (MailError) {
            // Nothing that a mail server would write; it is removed unread.
            return;
        }
        if ($report?->letter === null || ! $report->isEnd()) {
            return;
        }
        $this->database->transaction(function () use ($report): void {
            $letter = Letter::query()->where('message_id', $report->letter)->whereIn('state', [LetterState::Sent, LetterState::Doubtful, LetterState::Sending])->lockForUpdate()->first();
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
}
