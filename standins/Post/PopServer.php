<?php

declare(strict_types=1);

namespace Standin\Post;

use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;
use Standin\World;

/** Where a mailbox is fetched: POP3 over TLS (RFC 1939, 8314). */
final readonly class PopServer
{
    private const LONGEST = 1_000;

    public function __construct(private World $world, private PostOffice $post)
    {
    }

    public function listen(ServerInterface $server): void
    {
        $server->on('connection', function (ConnectionInterface $connection): void {
            $session = new PopSession($this->post, $this->world->store);
            $connection->write($session->greeting());
            $pending = '';
            $connection->on('data', function (string $bytes) use ($connection, $session, &$pending): void {
                $pending .= $bytes;
                while (! $session->closes && ($end = strpos($pending, "\n")) !== false) {
                    $line = rtrim(substr($pending, 0, $end), "\r");
                    $pending = substr($pending, $end + 1);
                    $connection->write($session->line($line));
                }
                if ($session->closes || strlen($pending) > self::LONGEST) {
                    $connection->end();
                }
            });
        });
    }
}
