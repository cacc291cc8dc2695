<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Hosting\WebAddress;
use App\Outside\Reach\Hosts;
use App\Outside\Web\Head;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is read of a web server's answer, and which web servers may be asked at all. */
final class WebHeadTest extends TestCase
{
    public function test_the_first_location_counts_and_a_long_head_is_read_no_further(): void
    {
        $head = new Head(60);
        foreach (["HTTP/1.1 301 Moved\r\n", "LOCATION:  /one \r\n", "Location: /two\r\n"] as $line) {
            self::assertSame(strlen($line), $head->read($line));
        }
        self::assertSame('/one', $head->location());
        self::assertFalse($head->isTooLong());
        self::assertSame(0, $head->read("X: more than is read\r\n"));
        self::assertTrue($head->isTooLong());
        $long = new Head(10_000);
        $long->read('Location: '.str_repeat('a', 5_000));
        self::assertSame(WebAddress::LONGEST + 1, strlen((string) $long->location()));
        self::assertNull((new Head(10))->location());
    }

    /** @param  array{string, int}|null  $dialled */
    #[TestWith(['45.45.45.45', 80, ['45.45.45.45', 80]])]
    #[TestWith(['45.45.45.45', 443, ['45.45.45.45', 443]])]
    #[TestWith(['45.45.45.45', 8443, null], 'no other port')]
    #[TestWith(['45.45.46.45', 80, null], 'outside the network')]
    #[TestWith(['10.0.0.5', 80, ['10.0.0.5', 80]], 'of one’s own network, listed by itself')]
    #[TestWith(['10.0.1.7', 80, null], 'of one’s own network, in a listed one')]
    #[TestWith(['127.0.0.1', 80, null])]
    #[TestWith(['2a00:1:2::7', 443, ['2a00:1:2::7', 443]])]
    #[TestWith(['::1', 80, null])]
    #[TestWith(['nonsense', 80, null])]
    public function test_only_listed_web_servers_are_dialled(string $address, int $port, ?array $dialled): void
    {
        $hosts = new Hosts([], [], ['45.45.45.0/24', '10.0.0.5', '10.0.1.0/24', '2a00:1:2::/48', '::/0', '127.0.0.0/8']);
        self::assertSame($dialled, $hosts->web($address, $port));
    }

    public function test_without_a_list_none_is(): void
    {
        self::assertNull((new Hosts([]))->web('45.45.45.45', 80));
    }
}
