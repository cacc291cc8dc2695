<?php

declare(strict_types=1);

namespace Standin\Post;

use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\World;

/** The post: SMTP over TLS (RFC 5321, 8314), in whatever weather; it befalls the answer that says that a letter was taken. */
final readonly class SmtpServer
{
    private const LONGEST = 3_000_000;

    public function __construct(private World $world, private PostOffice $post)
    {
    }

    public function listen(ServerInterface $server): void
    {
        $server->on('connection', $this->serve(...));
    }

    private function serve(ConnectionInterface $connection): void
    {
        $session = new SmtpSession($this->post, fn (): Weather => Weather::now($this->world->store, Place::Post));
        $connection->write($session->greeting());
        $pending = '';
        $connection->on('data', function (string $bytes) use ($connection, $session, &$pending): void {
            $pending .= $bytes;
            while (($end = strpos($pending, "\n")) !== false) {
                $line = rtrim(substr($pending, 0, $end), "\r");
                $pending = substr($pending, $end + 1);
                $this->answer($connection, $session->line($line), $session->met);
                if ($session->closes) {
                    $connection->end();

                    return;
                }
            }
            if (strlen($pending) > self::LONGEST) {
                $connection->close();
            }
        });
    }

    private function answer(ConnectionInterface $connection, string $answer, Weather $weather): void
    {
        match ($weather) {
            Weather::ClosesAfter => $connection->close(),
            Weather::Silent => null,
            Weather::Twice => $connection->write($answer.$answer),
            Weather::Garbage => $connection->write("\xff no such thing\r\n"),
            Weather::Slow => Loop::addTimer(Weather::LATE, fn () => $connection->write($answer)),
            default => $answer === '' ? null : $connection->write($answer),
        };
    }
}
