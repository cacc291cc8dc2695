<?php

declare(strict_types=1);

namespace Tests\Standin;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Standin\Control\Weather;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Http\HttpServer;

/** As much of HTTP/1.1 as the stand-ins need (RFC 9112), without a network. */
final class HttpServerTest extends TestCase
{
    /** @var list<HttpRequest> */
    private array $asked = [];

    private function call(Weather $weather = Weather::Fair): Piped
    {
        $listener = new Listener();
        (new HttpServer(function (HttpRequest $request): HttpResponse {
            $this->asked[] = $request;

            return $request->path === '/fails'
                ? throw new RuntimeException('It failed.')
                : HttpResponse::json([
                    'path' => $request->path,
                    'body' => $request->body,
                    'host' => $request->host(),
                    'asked' => $request->asked(),
                ]);
        }, fn (): Weather => $weather))->listen($listener);

        return $listener->call();
    }

    public function test_a_request_may_come_in_pieces_and_several_in_one(): void
    {
        $connection = $this->call();
        foreach (str_split("POST /a%20b?q=1&r=%26 HTTP/1.1\r\nHost: RDAP.example:8431\r\nContent-Length: 5\r\n\r\nhel", 7) as $bytes) {
            $connection->arrive($bytes);
            self::assertSame('', $connection->written);
        }
        $connection->arrive("loGET /second HTTP/1.1\r\n\r\nGET /third HTTP/1.1\r\nConnection: close\r\n\r\n");
        self::assertSame(['/a b', '/second', '/third'], array_map(fn (HttpRequest $one): string => $one->path, $this->asked));
        self::assertSame(
            ['POST', 'hello', 'rdap.example', '127.0.0.9', ['q' => '1', 'r' => '&']],
            [$this->asked[0]->method, $this->asked[0]->body, $this->asked[0]->host(), $this->asked[0]->peer, $this->asked[0]->asked()],
        );
        self::assertSame(3, substr_count($connection->written, 'HTTP/1.1 200 OK'));
        self::assertSame(
            [2, 1, false],
            [
                substr_count($connection->written, 'Connection: keep-alive'),
                substr_count($connection->written, 'Connection: close'),
                $connection->isOpen,
            ],
        );
    }

    #[TestWith(["GET /\r\n\r\n", '400 Bad Request'])]
    #[TestWith(["POST / HTTP/1.1\r\nContent-Length: -1\r\n\r\n", '400 Bad Request'])]
    #[TestWith(["POST / HTTP/1.1\r\nContent-Length: 9000000\r\n\r\n", '413 Content Too Large'])]
    public function test_what_is_no_request_is_told_so_and_left(string $bytes, string $status): void
    {
        $connection = $this->call();
        $connection->arrive($bytes);
        self::assertStringStartsWith("HTTP/1.1 {$status}", $connection->written);
        self::assertSame([false, []], [$connection->isOpen, $this->asked]);
    }

    public function test_a_head_without_an_end_is_left(): void
    {
        $connection = $this->call();
        $connection->arrive(str_repeat('x', 16_001));
        self::assertStringStartsWith('HTTP/1.1 400', $connection->written);
        self::assertFalse($connection->isOpen);
    }

    public function test_what_fails_inside_is_an_answer_and_not_an_end(): void
    {
        $connection = $this->call();
        $connection->arrive("GET /fails HTTP/1.1\r\n\r\n");
        self::assertStringContainsString("422 Unprocessable Content\r\n", $connection->written);
        self::assertStringEndsWith("It failed.\n", $connection->written);
        self::assertTrue($connection->isOpen);
    }

    #[TestWith([Weather::ClosesAfter, 0, false, 1])]
    #[TestWith([Weather::Silent, 0, true, 1])]
    #[TestWith([Weather::Twice, 2, true, 1])]
    #[TestWith([Weather::Fair, 1, true, 1])]
    #[TestWith([Weather::DiskFull, 1, true, 0])]
    public function test_weather_befalls_the_answer_and_a_full_disk_the_deed(Weather $weather, int $answers, bool $isOpen, int $done): void
    {
        $connection = $this->call($weather);
        $connection->arrive("GET / HTTP/1.1\r\n\r\n");
        self::assertSame(
            [$answers, $isOpen, $done],
            [substr_count($connection->written, 'HTTP/1.1'), $connection->isOpen, count($this->asked)],
        );
        self::assertSame($weather === Weather::DiskFull, str_contains($connection->written, '500 Internal Server Error'));
    }

    public function test_garbage_is_no_answer(): void
    {
        $connection = $this->call(Weather::Garbage);
        $connection->arrive("GET / HTTP/1.1\r\n\r\n");
        self::assertStringNotContainsString('HTTP/1.1', $connection->written);
        self::assertFalse($connection->isOpen);
    }
}
