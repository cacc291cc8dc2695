<?php

declare(strict_types=1);

namespace Standin\Post;

use Standin\Store;

/** One client that fetches a mailbox (RFC 1939): signed in, letters listed, fetched, marked, and removed at the end. */
final class PopSession
{
    private const GUESSES = 3;

    public bool $closes = false;

    private string $who = '';

    private int $guesses = 0;

    /** @var array<int, Letter>|null by number from one; null: not signed in */
    private ?array $letters = null;

    /** @var array<int, int> ids by number */
    private array $gone = [];

    public function __construct(private readonly PostOffice $post, private readonly Store $store)
    {
    }

    public function greeting(): string
    {
        return "+OK A simulated mailbox\r\n";
    }

    public function line(string $line): string
    {
        [$verb, $rest] = [...explode(' ', trim($line), 2), ''];
        $verb = strtoupper($verb);
        if ($verb === 'QUIT') {
            return $this->quit();
        }
        if ($this->letters === null) {
            return match ($verb) {
                'USER' => $this->user($rest),
                'PASS' => $this->pass($rest),
                'CAPA' => "+OK\r\nUSER\r\nUIDL\r\n.\r\n",
                default => "-ERR Sign in first\r\n",
            };
        }
        $here = array_diff_key($this->letters, $this->gone);
        $letter = $here[(int) $rest] ?? null;

        return match ($verb) {
            'STAT' => '+OK '.count($here).' '.array_sum(array_map(fn (Letter $one): int => strlen($one->raw), $here))."\r\n",
            'LIST' => $this->listed($here, $rest, fn (Letter $one): int => strlen($one->raw)),
            'UIDL' => $this->listed($here, $rest, fn (Letter $one): int => $one->id),
            'RETR' => $letter === null ? "-ERR No such letter\r\n" : "+OK\r\n".self::stuffed($letter->raw).".\r\n",
            'DELE' => $this->mark((int) $rest, $letter),
            'NOOP' => "+OK\r\n",
            'RSET' => $this->unmark(),
            default => "-ERR There is no such command\r\n",
        };
    }

    private function user(string $who): string
    {
        $this->who = strtolower(trim($who));

        return "+OK\r\n";
    }

    private function pass(string $password): string
    {
        $kept = $this->post->mailbox($this->who)->password;
        if ($kept === null || ! hash_equals($kept, $password)) {
            $this->closes = ++$this->guesses >= self::GUESSES;

            return "-ERR Not with that password\r\n";
        }
        $letters = $this->store->letters->of($this->who);
        $this->letters = $letters === [] ? [] : array_combine(range(1, count($letters)), $letters);

        return "+OK\r\n";
    }

    /**
     * @param  array<int, Letter>  $letters
     * @param  callable(Letter): int  $say
     */
    private function listed(array $letters, string $which, callable $say): string
    {
        if ($which !== '') {
            $letter = $letters[(int) $which] ?? null;

            return $letter === null ? "-ERR No such letter\r\n" : '+OK '.(int) $which.' '.$say($letter)."\r\n";
        }

        return "+OK\r\n".
            implode(
                '',
                array_map(fn (int $number, Letter $letter): string => "{$number} {$say($letter)}\r\n", array_keys($letters), $letters),
            ).
            ".\r\n";
    }

    private function mark(int $number, ?Letter $letter): string
    {
        if ($letter === null) {
            return "-ERR No such letter\r\n";
        }
        $this->gone[$number] = $letter->id;

        return "+OK\r\n";
    }

    private function unmark(): string
    {
        $this->gone = [];

        return "+OK\r\n";
    }

    private function quit(): string
    {
        $this->closes = true;
        array_map($this->store->letters->remove(...), array_values($this->gone));

        return "+OK Bye\r\n";
    }

    /** Dots that begin a line are doubled (§3). */
    private static function stuffed(string $raw): string
    {
        return (string) preg_replace('/^\./m', '..', rtrim($raw, "\r\n")."\r\n");
    }
}
