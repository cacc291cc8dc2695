<?php

declare(strict_types=1);

namespace App\Outside\Post;

use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\TlsSocket;
use SensitiveParameter;

/**
 * The mailbox to which undelivered letters come back, fetched by POP3 over TLS (RFC 1939, 8314) from a listed host: what was kept is
 * removed there.
 */
final class BounceMailbox
{
    private const PORT = 995;

    /** Letters that are taken in one go, and bytes that one may have. */
    private const MOST = 200;

    private const LIMIT = 2_000_000;

    /** @var resource|null */
    private $socket = null;

    /** @param  string|null  $host  null: nobody fetches it */
    public function __construct(
        private readonly Hosts $hosts,
        private readonly ?string $host,
        private readonly string $user,
        #[SensitiveParameter] private readonly string $password,
        private readonly ?string $authority,
        private readonly float $seconds,
    ) {
    }

    /**
     * @param  callable(string): void  $keep  is given a letter as it came; once it has come back, the letter is removed there
     *
     * @throws NotReached
     */
    public function take(callable $keep): void
    {
        if ($this->host === null) {
            return;
        }
        try {
            $this->open($this->host);
            $this->say("USER {$this->user}");
            $this->say("PASS {$this->password}", 'the password was not taken');
            $waiting = (int) explode(' ', $this->say('STAT'))[1];
            for ($number = 1; $number <= min($waiting, self::MOST); $number++) {
                $this->say("RETR {$number}");
                $keep($this->body());
                $this->say("DELE {$number}");
            }
            $this->say('QUIT');
        } finally {
            if (is_resource($this->socket)) {
                fclose($this->socket);
            }
            $this->socket = null;
        }
    }

    private function open(string $host): void
    {
        $socket = TlsSocket::open($this->hosts, $host, self::PORT, $this->authority, $this->seconds);
        stream_set_timeout($socket, (int) ceil($this->seconds));
        $this->socket = $socket;
        $this->answer('the greeting');
    }

    private function say(#[SensitiveParameter] string $line, string $otherwise = ''): string
    {
        if (is_resource($this->socket)) {
            @fwrite($this->socket, "{$line}\r\n");
        }

        return $this->answer($otherwise === '' ? explode(' ', $line)[0] : $otherwise);
    }

    private function answer(string $to): string
    {
        $line = $this->line();

        return str_starts_with($line, '+OK')
            ? $line
            : throw NotReached::refused((string) $this->host, 0, "{$to}: ".mb_scrub(mb_substr($line, 0, 200)));
    }

    private function line(): string
    {
        $line = is_resource($this->socket) ? fgets($this->socket, 100_000) : false;

        return $line === false ? throw NotReached::silent((string) $this->host, 'the connection is gone') : rtrim($line, "\r\n");
    }

    /** Until a line that is only a dot; dots that were doubled are undone (§3). */
    private function body(): string
    {
        $body = '';
        while (($line = $this->line()) !== '.') {
            $body .= (str_starts_with($line, '.') ? substr($line, 1) : $line)."\r\n";
            if (strlen($body) > self::LIMIT) {
                throw NotReached::tooLong((string) $this->host, self::LIMIT);
            }
        }

        return $body;
    }
}
