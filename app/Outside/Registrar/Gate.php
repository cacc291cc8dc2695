<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Logout;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppError;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppGreeting;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlError;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\TlsSocket;
use SensitiveParameter;

/**
 * One session at a gate: EPP over TLS, logged in, one command after the other (RFC 5734). After a silence it is closed, because an answer
 * that comes late would be taken for the next one's.
 */
final class Gate
{
    /** Answers to other commands that are passed over before it is given up. */
    private const STRAY = 5;

    /** Seconds that an answer is looked for before it is slept for: one that is near comes sooner than a sleeper wakes. */
    private const NEAR = 0.0005;

    /** @var list<string> documents that came together with others */
    private array $read = [];

    /** @param  resource  $socket */
    private function __construct(
        private $socket,
        private readonly EppFraming $framing,
        private readonly string $host,
        private readonly float $seconds,
        private int $used,
    ) {
    }

    /**
     * @param  string|null  $authority  a file of certificates to trust instead of the machine's own
     * @param  float  $seconds  that an answer may take
     * @param  string|null  $key  the public key that it must show; null: any that its certificate proves
     *
     * @throws NotReached
     */
    public static function open(
        Hosts $hosts,
        string $host,
        int $port,
        ?string $authority,
        float $seconds,
        string $login,
        #[SensitiveParameter] string $password,
        ?string $key = null,
    ): self {
        $socket = TlsSocket::open($hosts, $host, $port, $authority, $seconds, $key);
        stream_set_blocking($socket, false);
        $gate = new self($socket, new EppFraming(), $host, $seconds, time());
        $greeting = $gate->next();
        if (! ($greeting instanceof EppGreeting)) {
            throw NotReached::garbled($host, 'a greeting was expected.');
        }
        // Only what is kept there may be spoken of (RFC 5730 §2.9.1.1).
        $objects = $greeting->keeps(EppNamespace::Domain, EppNamespace::Host, EppNamespace::Contact, EppNamespace::Account);
        if (! in_array(EppNamespace::Domain->value, $objects, true)) {
            $gate->close();
            throw NotReached::garbled($host, 'its greeting knows no names.');
        }
        $answer = $gate->command(
            new Login(
                $login,
                $password,
                $objects,
                $greeting->speaks(EppNamespace::Grace, EppNamespace::SecDns, EppNamespace::Fee, EppNamespace::Account),
            ),
            'login-'.bin2hex(random_bytes(8)),
        );
        if ($answer->code() !== EppCode::Done) {
            $gate->close();
            throw NotReached::refused($host, $answer->code()->value, $answer->results[0]->message);
        }

        return $gate;
    }

    /** @throws NotReached when no answer came, or none that belongs to it */
    public function command(EppCommand $command, string $transaction): EppResponse
    {
        $this->used = time();
        try {
            $this->send(EppFrame::command($command, $transaction));
            for ($stray = 0; $stray <= self::STRAY; $stray++) {
                $answer = $this->next();
                if ($answer instanceof EppResponse && $answer->client === $transaction) {
                    if ($answer->code()->endsSession()) {
                        $this->close();
                    }

                    return $answer;
                }
            }
            throw NotReached::garbled($this->host, 'its answers belong to other commands.');
        } catch (NotReached $e) {
            $this->close();
            throw $e;
        }
    }

    /** Seconds since it was last used; what has been idle for long the other side may have closed. */
    public function idle(): int
    {
        return time() - $this->used;
    }

    /** RFC 5730 §2.3: asks for the greeting again, so that the session stays. */
    public function keepAlive(): bool
    {
        try {
            $this->used = time();
            $this->send(EppFrame::hello());

            return $this->next() instanceof EppGreeting;
        } catch (NotReached) {
            $this->close();

            return false;
        }
    }

    public function isOpen(): bool
    {
        return is_resource($this->socket) && ! feof($this->socket);
    }

    public function end(): void
    {
        if ($this->isOpen()) {
            try {
                $this->command(new Logout(), 'logout-'.bin2hex(random_bytes(8)));
            } catch (NotReached) {
                // It is gone anyway.
            }
        }
        $this->close();
    }

    private function close(): void
    {
        if (is_resource($this->socket)) {
            fclose($this->socket);
        }
    }

    private function send(string $document): void
    {
        $left = EppFraming::pack($document);
        $until = hrtime(true) / 1e9 + $this->seconds;
        while ($left !== '') {
            $written = is_resource($this->socket) ? @fwrite($this->socket, $left) : false;
            if ($written === false || hrtime(true) / 1e9 > $until) {
                throw NotReached::silent($this->host, 'the connection is gone');
            }
            $left = substr($left, $written);
            if ($left !== '') {
                $this->wait(false, 0.1);
            }
        }
    }

    private function next(): EppGreeting|EppResponse
    {
        try {
            return EppFrame::read($this->document());
        } catch (EppError|XmlError $e) {
            throw NotReached::garbled($this->host, $e->getMessage());
        }
    }

    private function document(): string
    {
        $asked = hrtime(true) / 1e9;
        $until = $asked + $this->seconds;
        while (true) {
            if ($this->read !== []) {
                return array_shift($this->read);
            }
            $bytes = is_resource($this->socket) ? @fread($this->socket, 65_536) : false;
            if ($bytes === false || ($bytes === '' && feof($this->socket))) {
                throw NotReached::silent($this->host, 'the connection was closed');
            }
            if ($bytes !== '') {
                array_push($this->read, ...$this->framing->feed($bytes));
            } elseif (($now = hrtime(true) / 1e9) > $until) {
                throw NotReached::silent($this->host, 'it took too long');
            } elseif ($now - $asked > self::NEAR) {
                $this->wait(true, min(0.5, max(0.001, $until - $now)));
            }
        }
    }

    private function wait(bool $toRead, float $seconds): void
    {
        $read = $toRead ? [$this->socket] : [];
        $write = $toRead ? [] : [$this->socket];
        $except = [];
        @stream_select($read, $write, $except, 0, (int) ($seconds * 1_000_000));
    }
}
