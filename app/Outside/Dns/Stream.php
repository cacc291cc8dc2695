<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\DnsError;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\TcpConnector;

/** A question by TCP, on a connection of its own, and the messages that come for it (RFC 1035 §4.2.2, RFC 7766). */
final readonly class Stream
{
    private TcpConnector $connector;

    /** @param  float  $seconds  that all of it may take */
    public function __construct(private LoopInterface $loop, private int $port, private float $seconds)
    {
        $this->connector = new TcpConnector($loop);
    }

    /**
     * @template T
     *
     * @param  string  $question  a message
     * @param  callable(string): (T|null)  $read  is given each message that comes, and what it returns, unless null, is the answer; an
     *     error of DNS ends it
     * @param  callable(T|null): void  $told  once; null: nobody answered, or not in time, or something else
     * @param  int  $most  octets that are taken
     */
    public function ask(string $address, string $question, callable $read, callable $told, int $most): void
    {
        // The first word counts: the answer, the end of the connection, or of patience.
        $end = function (mixed $answer) use (&$told): void {
            [$tell, $told] = [$told, null];
            if ($tell !== null) {
                $tell($answer);
            }
        };
        $connecting = $this->connector->connect((str_contains($address, ':') ? "[{$address}]" : $address).":{$this->port}");
        $timer = $this->loop->addTimer($this->seconds, function () use ($connecting, $end): void {
            $end(null);
            $connecting->then(fn (ConnectionInterface $open) => $open->close(), fn (): null => null);
            $connecting->cancel();
        });
        $over = function () use ($end, $timer): void {
            $this->loop->cancelTimer($timer);
            $end(null);
        };
        $connecting->then(function (ConnectionInterface $open) use ($question, $read, $end, $over, $most): void {
            $open->write(pack('n', strlen($question)).$question);
            $pending = '';
            $taken = 0;
            $open->on('data', function (string $more) use ($open, $read, $end, $most, &$pending, &$taken): void {
                $pending .= $more;
                $taken += strlen($more);
                try {
                    while (strlen($pending) >= 2 && strlen($pending) >= 2 + ($length = (ord($pending[0]) << 8) | ord($pending[1]))) {
                        $answer = $read(substr($pending, 2, $length));
                        $pending = substr($pending, 2 + $length);
                        if ($answer !== null) {
                            $end($answer);
                            $open->close();

                            return;
                        }
                    }
                } catch (DnsError) {
                    $open->close();
                }
                if ($taken > $most) {
                    $open->close();
                }
            });
            $open->on('close', $over);
        }, $over);
    }
}
