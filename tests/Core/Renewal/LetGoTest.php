<?php

declare(strict_types=1);

namespace Tests\Core\Renewal;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Renewal\KeepingFinding;
use Acre\Core\Renewal\LetGo;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\TestCase;

/** What speaks for letting a name go (common practice). */
final class LetGoTest extends TestCase
{
    /**
     * @param  list<array{string, string, string}>|null  $records  host, type and data; null: the zone was not seen
     * @param  list<string>  $unread
     * @return list<string>
     */
    private static function reasons(
        ?array $records,
        bool $isSilent = false,
        ?string $target = null,
        ?string $yearly = '10.00',
        ?string $usual = '10.00',
        Intent $intent = Intent::WhenTold,
        array $unread = [],
        string $currency = 'GBP',
    ): array {
        $let = new LetGo(
            $intent,
            Instant::of('2027-03-01'),
            $records === null ? null : ZoneCopy::of(
                'bell.com',
                array_map(fn (array $one): Entry => new Entry($one[0], $one[1], 3600, $one[2]), $records),
                $unread,
            ),
            $isSilent,
            $target,
            $yearly === null ? null : Money::of($yearly, 'GBP'),
            $usual === null ? null : Money::of($usual, $currency),
        );

        return array_map(fn (Finding $one): string => (string) $one->tag->value, $let->reasons());
    }

    public function test_what_holds_neither_pages_nor_mail(): void
    {
        $bare = [['bell.com', 'NS', 'ns1.a.example.'], ['bell.com', 'SOA', 'ns1.a.example. h.a.example. 1 1 1 1 1'],
            ['bell.com', 'CAA', '0 issue ";"'], ['bell.com', 'TXT', '"v=spf1 -all"'], ['_dmarc.bell.com', 'TXT', '"v=DMARC1; p=reject"']];
        self::assertSame(['nothing_there'], self::reasons($bare));
        self::assertSame(['nothing_there'], self::reasons([...$bare, ['bell.com', 'MX', '0 .']]), 'RFC 7505');
        foreach (
            [
                ['bell.com', 'MX', '10 mail.a.example.'],
                ['bell.com', 'A', '192.0.2.1'],
                ['www.bell.com', 'CNAME', 'a.example.'],
                ['shop.bell.com', 'AAAA', '2001:db8::1'],
                ['bell.com', 'TXT', '"site-verification=1"'],
                ['_sip._tcp.bell.com', 'SRV', '0 0 5060 a.example.'],
            ] as $one
        ) {
            self::assertSame([], self::reasons([...$bare, $one]), implode(' ', $one));
        }
        self::assertSame([], self::reasons($bare, unread: ['bell.com MX']), 'what was not seen may be there');
        self::assertSame([], self::reasons([]));
        self::assertSame([], self::reasons(null));
    }

    public function test_what_else_speaks_for_it(): void
    {
        self::assertSame(['nothing_answers'], self::reasons(null, isSilent: true, target: 'https://a.example/'));
        self::assertSame(['leads_on'], self::reasons(null, target: 'https://a.example/'));
        self::assertSame(['dear'], self::reasons(null, yearly: '30.00'));
        self::assertSame([], self::reasons(null, yearly: '29.99'));
        self::assertSame(['leads_on', 'dear'], self::reasons(null, target: 'https://a.example/', yearly: '45.00'));
        self::assertSame([], self::reasons(null, yearly: '30.00', currency: 'EUR'), 'nothing is exchanged');
        self::assertSame([], self::reasons(null, yearly: '0.00', usual: '0.00'));
        self::assertSame([[], []], [self::reasons(null, yearly: null), self::reasons(null, usual: null)]);
        self::assertSame(['meant_to_lapse'], self::reasons(null, isSilent: true, yearly: '90.00', intent: Intent::Lapse));
    }

    /** A redirect may be what a name is for, and a dear one may be worth it. */
    public function test_only_what_is_unused_is_advised_to_be_let_go(): void
    {
        self::assertSame(
            ['nothing_answers', 'nothing_there'],
            array_values(array_map(
                fn (KeepingFinding $one): string => $one->value,
                array_filter(KeepingFinding::cases(), fn (KeepingFinding $one): bool => $one->isAdvice()),
            )),
        );
    }
}
