<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use React\EventLoop\LoopInterface;
use RuntimeException;

/** One port of ours, from which many questions are asked. */
final class UdpPort
{
    /** Read at one wake: a wake for each answer would cost more than the answer. */
    private const AT_A_WAKE = 200;

    private const LONGEST = 65_535;

    public int $asked = 0;

    private bool $isClosing = false;

    /** @var resource|null */
    private $stream;

    /** @var array<string, callable(Message|null): void> by the address asked and the question's id */
    private array $waiting = [];

    /** @var array<string, true> every key that was ever used here: a late end of one question must not be another's */
    private array $used = [];

    /** @param  string  $family  `0.0.0.0` or `[::]` */
    public function __construct(private readonly LoopInterface $loop, string $family, private readonly Unreadable $unreadable)
    {
        $stream = stream_socket_server("udp://{$family}:0", $code, $why, STREAM_SERVER_BIND);
        $this->stream = $stream === false ? throw new RuntimeException("No port for UDP could be opened: {$why}") : $stream;
        stream_set_blocking($this->stream, false);
        $loop->addReadStream($this->stream, $this->read(...));
    }

    /**
     * @param  string  $at  address and port
     * @param  callable(Message|null): void  $told
     * @return string the key by which the question can be given up
     */
    public function ask(string $at, Question $question, callable $told, ?Edns $edns = null): string
    {
        do {
            $id = random_int(0, 0xFFFF);
            $key = "{$at} {$id}";
        } while (isset($this->used[$key]));
        $this->used[$key] = true;
        $this->asked++;
        $this->waiting[$key] = $told;
        if ($this->stream !== null) {
            // What can't be sent is as silent as what nobody answers.
            @stream_socket_sendto($this->stream, Message::ask($id, $question, $edns)->octets(), 0, $at);
        }

        return $key;
    }

    public function giveUp(string $key): void
    {
        $this->tell($key, null);
    }

    public function closeWhenAnswered(): void
    {
        $this->isClosing = true;
        $this->closeIfDone();
    }

    private function read(): void
    {
        for ($count = 0; $count < self::AT_A_WAKE && $this->stream !== null; $count++) {
            $bytes = stream_socket_recvfrom($this->stream, self::LONGEST, 0, $from);
            if ($bytes === false || $bytes === '' || ! is_string($from)) {
                return;
            }
            $key = strlen($bytes) < Message::HEAD ? '' : "{$from} ".((ord($bytes[0]) << 8) | ord($bytes[1]));
            if (! isset($this->waiting[$key])) {
                continue;
            }
            try {
                $message = Message::read($bytes);
            } catch (DnsError) {
                // What can't be read may be forged: the true answer may still come.
                $this->unreadable->came($from);

                continue;
            }
            if ($message->isAnswer) {
                $this->tell($key, $message);
            }
        }
    }

    private function tell(string $key, ?Message $answer): void
    {
        $told = $this->waiting[$key] ?? null;
        unset($this->waiting[$key]);
        if ($told !== null) {
            $told($answer);
            $this->closeIfDone();
        }
    }

    private function closeIfDone(): void
    {
        if ($this->isClosing && $this->waiting === [] && $this->stream !== null) {
            $this->loop->removeReadStream($this->stream);
            fclose($this->stream);
            $this->stream = null;
        }
    }
}
