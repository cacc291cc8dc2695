<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/**
 * Every listener of the simulated world given what no client sends: cut off, random, endless, deep, with entities, in another
 * encoding. It lets go of whoever sends it, and answers curl afterwards.
 */
final class RoughWorldTest extends TestCase
{
    /** @return iterable<string, array{string, string}> which port, and whether behind TLS */
    public static function listeners(): iterable
    {
        yield 'its page' => ['WORLD_PAGE_PORT', 'tcp'];
        yield 'the directories' => ['WORLD_RDAP_PORT', 'ssl'];
        yield 'the directory by text' => ['WORLD_TEXT_PORT', 'tcp'];
        yield 'the gate' => ['WORLD_EPP_PORT', 'ssl'];
        yield 'the post' => ['WORLD_POST_PORT', 'ssl'];
        yield 'the mailboxes' => ['WORLD_POP_PORT', 'ssl'];
        yield 'the bridge' => ['WORLD_BRIDGE_PORT', 'ssl'];
    }

    #[DataProvider('listeners')]
    public function test_whatever_is_sent_it_goes_on(string $port, string $over): void
    {
        $random = new Randomizer(new Mt19937(20261006));
        $frame = fn (string $document): string => pack('N', strlen($document) + 4).$document;
        $rough = [
            '',
            "\r\n\r\n",
            str_repeat('x', 200_000),
            $random->getBytes(5_000),
            "GET / HTTP/1.1\r\n",
            "POST /v1/orders HTTP/1.1\r\nContent-Length: -5\r\n\r\n",
            "POST / HTTP/1.1\r\nContent-Length: 99999999999\r\n\r\n",
            "GET /domain/\xff\xfe HTTP/1.1\r\nHost: rdap.harbour-registry.example\r\n\r\n",
            "POST /v1/orders HTTP/1.1\r\nIdempotency-Key: rough-0001\r\nContent-Length: 20000\r\n\r\n".str_repeat('[', 20_000),
            "EHLO x\r\nMAIL FROM:<a@b.example>\r\nRCPT TO:<c@d.example>\r\nDATA\r\n".str_repeat("x\r\n", 5_000),
            'USER '.str_repeat('a', 5_000)."\r\n",
            "com\r\n",
            pack('N', 0xFFFFFFFF).'<epp/>',
            pack('N', 3).'x',
            $frame(str_repeat('<a>', 50_000)),
            $frame('<!DOCTYPE epp [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><epp>&b;</epp>'),
            $frame((string) iconv('UTF-8', 'UTF-16', '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><hello/></epp>')),
            $frame("<epp>\xff</epp>"),
        ];
        $before = $this->memory();
        foreach ($rough as $bytes) {
            $socket = stream_socket_client(
                "{$over}://127.0.0.1:".getenv($port),
                $code,
                $why,
                10,
                STREAM_CLIENT_CONNECT,
                stream_context_create(['ssl' => ['verify_peer' => false, 'verify_peer_name' => false]]),
            );
            self::assertIsResource($socket, (string) $why);
            stream_set_timeout($socket, 5);
            @fwrite($socket, $bytes);
            // Cut off in the middle.
            fclose($socket);
        }
        self::assertLessThan($before + 4_000_000, $this->memory(), 'nothing of it was kept');
    }

    /** Bytes that the world uses, as curl is told. */
    private function memory(): int
    {
        $page = new Process(['curl', '-sS', '--max-time', '20', 'http://127.0.0.1:'.getenv('WORLD_PAGE_PORT').'/memory']);
        $page->mustRun();
        $told = json_decode($page->getOutput(), true);

        return is_array($told) && is_int($told['used'] ?? null) ? $told['used'] : self::fail("It answers no more: {$page->getOutput()}");
    }
}
