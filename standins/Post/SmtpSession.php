<?php

declare(strict_types=1);

namespace Standin\Post;

use Closure;
use Standin\Control\Weather;

/** One client's session with the post, line by line (RFC 5321). */
final class SmtpSession
{
    private const LIMIT = 2_000_000;

    private const LINE = 1_000;

    private const RECIPIENTS = 100;

    private const ADDRESS = '/^<([^\s<>@]+@[^\s<>@]+)>(\s+\S+)*$/D';

    public bool $closes = false;

    /** What befalls the answer that was given last. */
    public Weather $met = Weather::Fair;

    private bool $greeted = false;

    private ?string $sender = null;

    /** @var list<string> */
    private array $recipients = [];

    private ?string $data = null;

    /** @param  Closure(): Weather  $weather  asked once a letter is whole */
    public function __construct(private readonly PostOffice $post, private readonly Closure $weather)
    {
    }

    public function greeting(): string
    {
        return "220 post.example, a simulated post\r\n";
    }

    /** @param  string  $line  without its end */
    public function line(string $line): string
    {
        $this->met = Weather::Fair;
        if ($this->data !== null) {
            return $this->dataLine($line);
        }
        if (strlen($line) > self::LINE) {
            return "500 5.5.2 The line is too long\r\n";
        }
        [$verb, $rest] = [...explode(' ', $line, 2), ''];

        return match (strtoupper($verb)) {
            'EHLO', 'HELO' => $this->greet(strtoupper($verb), trim($rest)),
            'MAIL' => $this->mail($rest),
            'RCPT' => $this->recipient($rest),
            'DATA' => $this->begin(),
            'RSET' => $this->forget("250 2.0.0 Forgotten\r\n"),
            'NOOP' => "250 2.0.0 Still here\r\n",
            'VRFY' => "252 2.5.0 Send it, and see\r\n",
            'QUIT' => $this->bye(),
            default => "500 5.5.1 There is no such command\r\n",
        };
    }

    private function greet(string $verb, string $who): string
    {
        if ($who === '') {
            return "501 5.5.4 Say who you are\r\n";
        }
        $this->greeted = true;

        return $this->forget(
            $verb === 'HELO'
                ? "250 post.example\r\n"
                : "250-post.example\r\n250-SIZE ".self::LIMIT."\r\n250-8BITMIME\r\n250-PIPELINING\r\n250 ENHANCEDSTATUSCODES\r\n",
        );
    }

    private function mail(string $rest): string
    {
        $from = stripos($rest, 'FROM:') === 0 ? trim(substr($rest, 5)) : null;
        if (! $this->greeted || $this->sender !== null) {
            return "503 5.5.1 Not now\r\n";
        }
        // The empty sender is that of what comes back.
        $isNobody = $from !== null && preg_match('/^<>(\s+\S+)*$/D', $from) === 1;
        if ($from === null || (! $isNobody && preg_match(self::ADDRESS, $from, $found) !== 1)) {
            return "501 5.1.7 MAIL FROM:<a@b.example> is expected\r\n";
        }
        // RFC 1870 §6.1: what is announced as too long need not be sent.
        if (preg_match('/\sSIZE=(\d{1,20})(\s|$)/Di', $from, $size) === 1 && (float) $size[1] > self::LIMIT) {
            return "552 5.3.4 The letter is too long\r\n";
        }
        $this->sender = $isNobody ? '' : strtolower($found[1] ?? '');

        return "250 2.1.0 Go on\r\n";
    }

    private function recipient(string $rest): string
    {
        if ($this->sender === null) {
            return "503 5.5.1 Say first who sends\r\n";
        }
        if (stripos($rest, 'TO:') !== 0 || preg_match(self::ADDRESS, trim(substr($rest, 3)), $found) !== 1) {
            return "501 5.1.3 RCPT TO:<a@b.example> is expected\r\n";
        }
        if (count($this->recipients) >= self::RECIPIENTS) {
            return "452 4.5.3 Too many at once\r\n";
        }
        [$code, $words] = $this->post->recipient($this->sender, $found[1]);
        if ($code === 250) {
            $this->recipients[] = $found[1];
        }

        return "{$code} {$words}\r\n";
    }

    private function begin(): string
    {
        if ($this->sender === null || $this->recipients === []) {
            return $this->sender === null ? "503 5.5.1 Say first who sends\r\n" : "554 5.5.1 Nobody gets it\r\n";
        }
        $this->data = '';

        return "354 Go on, and end with a dot\r\n";
    }

    private function dataLine(string $line): string
    {
        if ($line !== '.') {
            // Dots that begin a line were doubled (§4.5.2).
            $this->data .=
                strlen((string) $this->data) > self::LIMIT ? '' : (str_starts_with($line, '.') ? substr($line, 1) : $line)."\r\n";

            return '';
        }
        $letter = (string) $this->data;
        if (strlen($letter) > self::LIMIT) {
            return $this->forget("552 5.3.4 The letter is too long\r\n");
        }
        $this->met = ($this->weather)();
        if ($this->met === Weather::DiskFull) {
            return $this->forget("452 4.3.1 The disk is full\r\n");
        }
        foreach ($this->recipients as $recipient) {
            $this->post->take((string) $this->sender, $recipient, $letter);
        }

        return $this->forget("250 2.0.0 Taken\r\n");
    }

    private function bye(): string
    {
        $this->closes = true;

        return "221 2.0.0 Bye\r\n";
    }

    private function forget(string $answer): string
    {
        [$this->sender, $this->recipients, $this->data] = [null, [], null];

        return $answer;
    }
}
