<?php

declare(strict_types=1);

namespace Standin\Http;

use Closure;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;
use Standin\Control\Weather;
use Throwable;

/** As much of HTTP/1.1 as the stand-ins need (RFC 9112): bodies with a length, connections kept. */
final readonly class HttpServer
{
    private const HEAD = 16_000;

    private const BODY = 8_000_000;

    /**
     * @param  Closure(HttpRequest): HttpResponse  $answer
     * @param  Closure(HttpRequest): Weather|null  $weather  what the next answer meets; null: always fair
     */
    public function __construct(private Closure $answer, private ?Closure $weather = null)
    {
    }

    public function listen(ServerInterface $server): void
    {
        $server->on('connection', $this->serve(...));
    }

    private function serve(ConnectionInterface $connection): void
    {
        $pending = '';
        $connection->on('data', function (string $bytes) use ($connection, &$pending): void {
            $pending .= $bytes;
            while (($request = $this->take($pending, $connection)) !== null) {
                $keep = strtolower($request->headers['connection'] ?? '') !== 'close';
                $weather = $this->weather === null ? Weather::Fair : ($this->weather)($request);
                $this->send(
                    $connection,
                    $weather === Weather::DiskFull ? new HttpResponse(500, 'text/plain', "The disk is full.\n") : $this->answered($request),
                    $weather,
                    $keep,
                );
            }
        });
    }

    private function send(ConnectionInterface $connection, HttpResponse $response, Weather $weather, bool $keep): void
    {
        $bytes = $response->bytes($keep);
        $send = fn (string $bytes) => $keep ? $connection->write($bytes) : $connection->end($bytes);
        match ($weather) {
            Weather::ClosesAfter => $connection->close(),
            Weather::Silent => null,
            Weather::Twice => $send($bytes.$bytes),
            Weather::Garbage => $connection->end("\xff no such thing\r\n\r\n"),
            Weather::Slow => Loop::addTimer(Weather::LATE, fn () => $send($bytes)),
            default => $send($bytes),
        };
    }

    private function answered(HttpRequest $request): HttpResponse
    {
        try {
            return ($this->answer)($request);
        } catch (Throwable $e) {
            return new HttpResponse(422, 'text/plain; charset=utf-8', $e->getMessage()."\n");
        }
    }

    /** Takes the first whole request off what has arrived. */
    private function take(string &$pending, ConnectionInterface $connection): ?HttpRequest
    {
        $end = strpos($pending, "\r\n\r\n");
        if ($end === false) {
            if (strlen($pending) > self::HEAD) {
                $connection->end((new HttpResponse(400, 'text/plain', "The head is too long.\n"))->bytes(false));
            }

            return null;
        }
        $lines = explode("\r\n", substr($pending, 0, $end));
        $first = explode(' ', array_shift($lines));
        $headers = [];
        foreach ($lines as $line) {
            [$name, $value] = [...explode(':', $line, 2), ''];
            $headers[strtolower(trim($name))] = trim($value);
        }
        $length = (int) ($headers['content-length'] ?? 0);
        if (count($first) !== 3 || $length < 0 || $length > self::BODY) {
            $connection->end((new HttpResponse($length > self::BODY ? 413 : 400, 'text/plain', "Not taken.\n"))->bytes(false));
            $pending = '';

            return null;
        }
        if (strlen($pending) < $end + 4 + $length) {
            return null;
        }
        $body = substr($pending, $end + 4, $length);
        $pending = substr($pending, $end + 4 + $length);
        $peer = (string) parse_url($connection->getRemoteAddress() ?? '', PHP_URL_HOST);

        $path = explode('?', $first[1], 2);

        return new HttpRequest(strtoupper($first[0]), rawurldecode($path[0]), $path[1] ?? '', $headers, $body, $peer);
    }
}
