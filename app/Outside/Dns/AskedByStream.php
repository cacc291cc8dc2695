<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\TcpConnector;

/** A question by TCP, on a connection of its own (RFC 7766). */
final class AskedByStream
{
    private readonly TcpConnector $connector;

    public function __construct(private readonly LoopInterface $loop, private readonly int $port, private readonly float $seconds)
    {
        $this->connector = new TcpConnector($loop);
    }

    /** @param  callable(Message|null): void  $told  null: nobody answered, or not in time */
    public function ask(string $address, Question $question, callable $told, ?Edns $edns = null): void
    {
        $id = random_int(0, 0xFFFF);
        $connecting = $this->connector->connect((str_contains($address, ':') ? "[{$address}]" : $address).":{$this->port}");
        // The first word counts: the answer, the end of the connection, or of patience.
        $end = function (?Message $answer) use (&$told): void {
            [$tell, $told] = [$told, null];
            if ($tell !== null) {
                $tell($answer);
            }
        };
        $timer = $this->loop->addTimer($this->seconds, function () use ($connecting, $end): void {
            $end(null);
            $connecting->then(fn (ConnectionInterface $open) => $open->close(), fn (): null => null);
            $connecting->cancel();
        });
        $connecting->then(function (ConnectionInterface $open) use ($id, $question, $edns, $end, $timer): void {
            $asked = Message::ask($id, $question, $edns)->octets();
            $open->write(pack('n', strlen($asked)).$asked);
            $bytes = '';
            $open->on('data', function (string $more) use ($open, $id, $end, &$bytes): void {
                $bytes .= $more;
                $answer = strlen($bytes) < 2 ? null : substr($bytes, 2, (ord($bytes[0]) << 8) | ord($bytes[1]));
                if ($answer !== null && strlen($answer) === ((ord($bytes[0]) << 8) | ord($bytes[1]))) {
                    $end(self::read($answer, $id));
                    $open->close();
                }
            });
            $open->on('close', function () use ($end, $timer): void {
                $this->loop->cancelTimer($timer);
                $end(null);
            });
        }, function () use ($end, $timer): void {
            $this->loop->cancelTimer($timer);
            $end(null);
        });
    }

    private static function read(string $bytes, int $id): ?Message
    {
        try {
            $message = Message::read($bytes);
        } catch (DnsError) {
            return null;
        }

        return $message->isAnswer && $message->id === $id ? $message : null;
    }
}
