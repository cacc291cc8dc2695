<?php

declare(strict_types=1);

namespace Standin\Tls;

use Closure;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\ServerInterface;
use React\Socket\TcpServer;

/** A port behind TLS that shows its own certificate, or in bad weather a foreign one. */
final readonly class Door
{
    /**
     * @param  string  $certificate  a file with a certificate and its key
     * @param  string  $foreign  another, that no one here has signed
     * @param  Closure(): bool  $isForeign  asked at each connection
     * @param  Closure(ServerInterface): void  $served  is given what listens behind the door
     */
    public static function open(string $address, string $certificate, string $foreign, Closure $isForeign, Closure $served): void
    {
        // Short answers are not to wait for each other.
        $tcp = new TcpServer($address, null, ['tcp_nodelay' => true]);
        $own = new Passed($tcp);
        $other = new Passed($tcp);
        $served(new SecureServer($own, null, ['local_cert' => $certificate]));
        new SecureServer($other, null, ['local_cert' => $foreign]);
        $tcp->on('connection', fn (ConnectionInterface $connection) => ($isForeign() ? $other : $own)->emit('connection', [$connection]));
    }
}
