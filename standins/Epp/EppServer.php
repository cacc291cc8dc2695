<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppError;
use Acre\Wire\Epp\EppFraming;
use React\EventLoop\Loop;
use React\EventLoop\TimerInterface;
use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\World;

/** A registrar's gate: EPP over TLS (RFC 5734), in whatever weather. */
final readonly class EppServer
{
    private OpenSessions $open;

    /** @param  int  $frameSeconds  after which the rest of a frame is waited for no longer */
    public function __construct(private World $world, private string $registrar, private int $frameSeconds)
    {
        $this->open = new OpenSessions();
    }

    public function listen(ServerInterface $server): void
    {
        $server->on('connection', $this->serve(...));
    }

    private function serve(ConnectionInterface $connection): void
    {
        $session = new EppSession($this->world, $this->registrar, $this->open);
        $framing = new EppFraming();
        $connection->write(EppFraming::pack($session->greeting()));
        $waiting = null;
        $connection->on('close', function () use ($session, &$waiting): void {
            $session->end();
            self::forget($waiting);
        });
        $connection->on('data', function (string $bytes) use ($connection, $session, $framing, &$waiting): void {
            try {
                foreach ($framing->feed($bytes) as $document) {
                    // Whatever follows a logout comes too late (RFC 5730 §2.9.1.2).
                    if (! $session->closes) {
                        $this->answer($connection, $session, $document);
                    }
                }
            } catch (EppError) {
                $connection->close();
            }
            self::forget($waiting);
            $waiting = $framing->isInside() ? Loop::addTimer($this->frameSeconds, $connection->close(...)) : null;
        });
    }

    private static function forget(?TimerInterface $timer): void
    {
        if ($timer !== null) {
            Loop::cancelTimer($timer);
        }
    }

    private function answer(ConnectionInterface $connection, EppSession $session, string $document): void
    {
        $weather =
            str_contains($document, '<hello') || str_contains($document, '<login>')
                ? Weather::Fair
                : Weather::now($this->world->store, Place::Gate);
        $answer = EppFraming::pack($session->handle($document, $weather === Weather::DiskFull));
        $send = fn (string $bytes) => $session->closes ? $connection->end($bytes) : $connection->write($bytes);
        match ($weather) {
            Weather::ClosesAfter => $connection->close(),
            Weather::Silent => null,
            Weather::Twice => $send($answer.$answer),
            Weather::Garbage => $send(EppFraming::pack("<epp>\xff not a document")),
            Weather::Slow => Loop::addTimer(Weather::LATE, fn () => $send($answer)),
            default => $send($answer),
        };
    }
}
