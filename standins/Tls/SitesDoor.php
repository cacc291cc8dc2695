<?php

declare(strict_types=1);

namespace Standin\Tls;

use Closure;
use React\EventLoop\Loop;
use React\Socket\Connection;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\ServerInterface;
use React\Socket\TcpServer;

/** A port behind TLS that shows each host's own certificate, by the name that whoever connects says first (RFC 6066 §3). */
final readonly class SitesDoor
{
    private const HELLO = 4_096;

    /**
     * @param  Closure(string): (string|null)  $shown  a file with the certificate of a host and its key; null: the connection is closed
     * @param  Closure(ServerInterface): void  $served  is given what listens behind the door
     */
    public static function open(string $address, Closure $shown, Closure $served): void
    {
        $tcp = new TcpServer($address, null, ['tcp_nodelay' => true]);
        /** @var array<string, Passed> $doors by certificate */
        $doors = [];
        $pass = function (ConnectionInterface $connection, string $file) use (&$doors, $tcp, $served): void {
            if (! isset($doors[$file])) {
                $doors[$file] = new Passed($tcp);
                $served(new SecureServer($doors[$file], null, ['local_cert' => $file]));
            }
            $doors[$file]->emit('connection', [$connection]);
        };
        $queue = new TakingTurns();
        $tcp->on('connection', function (ConnectionInterface $connection) use ($pass, $queue, $shown): void {
            $socket = $connection instanceof Connection ? $connection->stream : null;
            if (is_resource($socket)) {
                // What was said is only looked at: TLS reads it again.
                $connection->pause();
                Loop::addReadStream($socket, function () use ($socket, $connection, $pass, $queue, $shown): void {
                    $hello = (string) stream_socket_recvfrom($socket, self::HELLO, STREAM_PEEK);
                    $host = self::host($hello);
                    if ($host !== null || $hello === '' || strlen($hello) === self::HELLO || $hello[0] !== "\x16") {
                        Loop::removeReadStream($socket);
                        $file = $shown($host ?? '');
                        $file === null ? $connection->close() : $queue->add(fn () => $pass($connection, $file));
                    }
                });
            }
        });
    }

    /** @return string|null null: the hello is not whole yet, or is none */
    private static function host(string $hello): ?string
    {
        $number = fn (int $at, int $octets): int => (int) hexdec(bin2hex(substr($hello, $at, $octets)));
        // Record, handshake, version and random (RFC 8446 §4.1.2, §5.1); then session, ciphers and compression, each with its length.
        if (strlen($hello) < 44 || $hello[0] !== "\x16" || strlen($hello) < 5 + $number(3, 2)) {
            return null;
        }
        $at = 43;
        foreach ([1, 2, 1] as $octets) {
            $at += $octets + $number($at, $octets);
        }
        $end = $at + 2 + $number($at, 2);
        for ($at += 2; $at + 4 <= $end; $at += 4 + $number($at + 2, 2)) {
            if ($number($at, 2) === 0) {
                return strtolower(substr($hello, $at + 9, $number($at + 7, 2)));
            }
        }

        return '';
    }
}
