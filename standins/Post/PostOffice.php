<?php

declare(strict_types=1);

namespace Standin\Post;

use Acre\Wire\Mail\MailLetter;
use Standin\World;

/** Takes letters for every mailbox of this world, each with its habit. */
final readonly class PostOffice
{
    /** Mailboxes that a letter is forwarded through at most. */
    private const HOPS = 5;

    public function __construct(private World $world)
    {
    }

    /** @return array{int, string} code and words with which a recipient is answered (RFC 5321 §4.2, RFC 3463) */
    public function recipient(string $sender, string $mailbox): array
    {
        $habit = $this->mailbox($mailbox)->habit;
        if ($habit === Habit::Unknown) {
            return [550, "5.1.1 There is no mailbox {$mailbox} here"];
        }
        if ($habit === Habit::Greylists && $this->world->store->letters->isFirstMeeting($sender, strtolower($mailbox))) {
            return [451, '4.7.1 Not known here yet, please come back'];
        }

        return [250, '2.1.5 It will be taken'];
    }

    public function take(string $sender, string $mailbox, string $raw): void
    {
        $box = $this->mailbox($mailbox);
        for ($hop = 0; $box->habit === Habit::Forwards && $hop < self::HOPS; $hop++) {
            $box = $this->mailbox($box->to);
        }
        if ($box->habit === Habit::Bounces || $box->habit === Habit::Unknown) {
            $this->sendBack($sender, $box->address, $raw);
        } else {
            $this->world->store->letters->put($box->address, $sender, $this->world->now(), $raw);
        }
    }

    /**
     * What somebody of this world writes.
     *
     * @param  string  $answers  the Message-ID that it answers; empty: none
     */
    public function write(string $from, string $to, string $subject, string $text, string $answers = ''): void
    {
        $id = bin2hex(random_bytes(12));
        $this->take(
            $from,
            $to,
            "From: <{$from}>\r\nTo: <{$to}>\r\nSubject: {$subject}\r\nDate: ".
                gmdate('r', $this->world->now()).
                "\r\nMessage-ID: <{$id}@world.example>\r\n".
                ($answers === '' ? '' : "In-Reply-To: <{$answers}>\r\n").
                "MIME-Version: 1.0\r\nContent-Type: text/plain; charset=utf-8\r\n\r\n".
                str_replace("\n", "\r\n", $text).
                "\r\n",
        );
    }

    public function mailbox(string $address): Mailbox
    {
        $address = strtolower($address);

        return $this->world->store->letters->mailbox($address) ?? new Mailbox($address, Habit::Reads);
    }

    /** A delivery status notification (RFC 3464); what came back itself is not sent back (RFC 5321 §6.1). */
    private function sendBack(string $sender, string $mailbox, string $raw): void
    {
        if ($sender === '') {
            return;
        }
        $headers = explode("\r\n\r\n", $raw, 2)[0];
        $id = MailLetter::read($raw)->id ?? '';
        $mark = 'report-'.bin2hex(random_bytes(8));
        $now = gmdate('r', $this->world->now());
        $report =
            "From: The post <postmaster@world.example>\r\nTo: <{$sender}>\r\nSubject: Not delivered\r\nDate: {$now}\r\nMessage-ID: <".
            substr(hash('sha256', $id.$mailbox), 0, 24).
            "@world.example>\r\nMIME-Version: 1.0\r\n".
            "Content-Type: multipart/report; report-type=delivery-status; boundary=\"{$mark}\"\r\n\r\n".
            "--{$mark}\r\nContent-Type: text/plain; charset=utf-8\r\n\r\nYour letter to "
                ."{$mailbox} was not delivered: the mailbox is full and nobody empties it.\r\n\r\n".
            "--{$mark}\r\nContent-Type: message/delivery-status\r\n\r\nReporting-MTA: dns; post.example\r\nArrival-Date: {$now}\r\n\r\n".
            'Final-Recipient: rfc822; '
                ."{$mailbox}\r\nAction: failed\r\nStatus: 5.2.2\r\nDiagnostic-Code: smtp; 552 5.2.2 The mailbox is full\r\n\r\n".
            "--{$mark}\r\nContent-Type: text/rfc822-headers\r\n\r\n{$headers}\r\n\r\n--{$mark}--\r\n";
        $this->world->store->letters->put(strtolower($sender), '', $this->world->now(), $report);
    }
}
