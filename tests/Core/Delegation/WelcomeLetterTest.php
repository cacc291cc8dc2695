<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\ServerHost;
use Acre\Core\Delegation\WelcomeLetter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Letters of web hosts, made up in the shapes that are in use: common practice. */
final class WelcomeLetterTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, list<string>>, list<string>}> letter, servers with addresses, other hosts */
    public static function letters(): iterable
    {
        yield 'a table, with a panel and a mail host after it' => [
            <<<'TEXT'
            Dear customer,

            Please set these name servers:

              Primary:    ns1.sandpiper.example  (203.0.113.51)
              Secondary:  ns2.sandpiper.example  (2001:db8::51)

            Panel: https://panel.sandpiper.example:2083/login
            FTP host: ftp.sandpiper.example
            Write to help@sandpiper.example
            TEXT,
            ['ns1.sandpiper.example' => ['203.0.113.51'], 'ns2.sandpiper.example' => ['2001:db8::51']],
            ['panel.sandpiper.example', 'ftp.sandpiper.example'],
        ];
        yield 'addresses on lines of their own' => [
            "Nameserver 1: erste.seevogel.example\n192.0.2.7\nNameserver 2: zweite.seevogel.example\n192.0.2.8\n\n".
                'Server: web12.seevogel.example',
            ['erste.seevogel.example' => ['192.0.2.7'], 'zweite.seevogel.example' => ['192.0.2.8']],
            ['web12.seevogel.example'],
        ];
        yield 'one line, commas between' => [
            'Our DNS: a.dns.wherry.example, b.dns.wherry.example. Thank you!',
            ['a.dns.wherry.example' => [], 'b.dns.wherry.example' => []],
            [],
        ];
        yield 'whose address is whose nobody can say' => [
            'DNS: a.dns.wherry.example b.dns.wherry.example 192.0.2.1 192.0.2.2',
            ['a.dns.wherry.example' => [], 'b.dns.wherry.example' => []],
            [],
        ];
        yield 'no heading at all' => [
            "ns1.wherry.example\nNS2.WHERRY.EXAMPLE.",
            ['ns1.wherry.example' => [], 'ns2.wherry.example' => []],
            [],
        ];
        yield 'a zone file' => [
            "kelp.example. 3600 IN NS ns-a.wherry.example.\nkelp.example. 3600 IN NS ns-b.wherry.example.",
            ['ns-a.wherry.example' => [], 'ns-b.wherry.example' => []],
            [],
        ];
        yield 'other alphabets' => ['Serveurs DNS : ns1.möwe.example et ns2.möwe.example', [
            'ns1.xn--mwe-sna.example' => [],
            'ns2.xn--mwe-sna.example' => [],
        ], []];
        yield 'nothing of the kind' => ["Thank you for your order.\nSee file.txt, e.g. page 3.\n192.0.2.1", [], []];
    }

    /**
     * @param  array<string, list<string>>  $servers
     * @param  list<string>  $others
     */
    #[DataProvider('letters')]
    public function test_its_name_servers_are_found(string $letter, array $servers, array $others): void
    {
        $read = WelcomeLetter::read($letter);
        self::assertSame(
            $servers,
            array_combine(
                array_map(fn (ServerHost $one): string => $one->host, $read->servers),
                array_map(fn (ServerHost $one): array => $one->addresses, $read->servers),
            ),
        );
        self::assertSame($others, $read->others);
    }

    public function test_what_was_ignored_is_told(): void
    {
        $read = WelcomeLetter::read("Dear customer,\n\nns1.wherry.example\n  Yours, the hosts  \n");
        self::assertSame(['Dear customer,', 'Yours, the hosts'], $read->ignored);
    }

    public function test_bytes_that_are_no_text_do_no_harm(): void
    {
        $read = WelcomeLetter::read("\xFF\xFE ns1.wherry.example \xC3\n".str_repeat('.', 5_000)."\nns2.wherry.example");
        self::assertCount(2, $read->servers);
    }
}
