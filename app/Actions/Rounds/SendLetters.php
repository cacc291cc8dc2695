<?php

declare(strict_types=1);

namespace App\Actions\Rounds;

use App\Support\Row;
use Illuminate\Contracts\Mail\Mailer;
use Illuminate\Database\Connection;
use Illuminate\Mail\Message;

/** Sends by mail what stands in the letterbox and was not sent yet. */
final readonly class SendLetters
{
    private const AT_ONCE = 500;

    public function __construct(private Connection $database, private Mailer $mailer)
    {
    }

    public function handle(): void
    {
        foreach (Row::all($this->database->table('letters')->whereNull('sent_at')->orderBy('id')->limit(self::AT_ONCE)->get(['id', 'mailbox', 'subject', 'body'])) as $letter) {
            $this->mailer->raw($letter->text('body'), fn (Message $message) => $message->to($letter->text('mailbox'))->subject($letter->text('subject')));
            $this->database->table('letters')->where('id', $letter->int('id'))->update(['sent_at' => gmdate('c')]);
        }
    }
}
