<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\Difference;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\Service;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ZoneComparisonTest extends TestCase
{
    private const WHOLE = [
        'bells.example SOA 3600 ns1.a.example. it.bells.example. 2026100601 7200 3600 1209600 300',
        'bells.example NS 3600 ns1.a.example.',
        'bells.example NS 3600 ns2.a.example.',
        'bells.example A 300 192.0.2.1',
        'bells.example MX 3600 10 Mail.bells.example.',
        'bells.example TXT 3600 "v=spf1 mx -all"',
        'mail.bells.example A 300 192.0.2.2',
        'www.bells.example CNAME 300 bells.example.',
        'a1._domainkey.bells.example TXT 300 "p=AAAA"',
    ];

    /** @param  list<string>  $lines */
    private static function copy(array $lines): ZoneCopy
    {
        return ZoneCopy::of('bells.example', array_map(function (string $line): Entry {
            [$host, $type, $ttl, $data] = explode(' ', $line, 4);

            return new Entry($host, $type, (int) $ttl, $data);
        }, $lines));
    }

    /**
     * @param  list<string>  $before
     * @param  list<string>  $after
     * @return list<string>
     */
    private static function differences(array $before, array $after): array
    {
        return array_map(
            fn (Difference $one): string => "{$one->kind()->value} {$one->host} {$one->type} {$one->service()->value}",
            Comparison::of(self::copy($before), self::copy($after))->differences,
        );
    }

    public function test_order_case_serial_signatures_and_repetition_are_no_difference(): void
    {
        $other = array_reverse(self::WHOLE);
        $other = str_replace(['2026100601', 'Mail.bells', 'ns2.a.example.'], ['7', 'mail.BELLS', 'NS2.a.example.'], $other);
        $other[] = $other[0];
        $other[] = 'bells.example RRSIG 300 A 13 2 300 1 1 1 bells.example. AAAA';
        $other[] = 'bells.example NSEC 300 mail.bells.example. A';
        $comparison = Comparison::of(self::copy(self::WHOLE), self::copy($other));
        self::assertSame([[], 8], [$comparison->differences, $comparison->same]);
        self::assertSame([], $comparison->breaks());
    }

    public function test_what_is_gone_new_or_other(): void
    {
        $after = [
            'bells.example SOA 3600 ns1.b.example. it.bells.example. 2026100601 7200 3600 1209600 300',
            'bells.example NS 3600 ns1.a.example.',
            'bells.example A 600 192.0.2.1',
            'bells.example TXT 3600 "V=SPF1 mx -all"',
            'mail.bells.example A 300 192.0.2.2',
            'mail.bells.example AAAA 300 2001:db8::2',
            'www.bells.example CNAME 300 bells.example.',
        ];
        self::assertSame(
            [
                'other_time bells.example A web',
                'gone bells.example MX mail',
                'other bells.example NS delegation',
                'other bells.example SOA delegation',
                'other bells.example TXT mail_trust',
                'gone a1._domainkey.bells.example TXT mail_trust',
                'new mail.bells.example AAAA mail',
            ],
            self::differences(self::WHOLE, $after),
        );
        $comparison = Comparison::of(self::copy(self::WHOLE), self::copy($after));
        self::assertSame([Service::Delegation, Service::Mail, Service::MailTrust], $comparison->breaks());
        self::assertSame(3, $comparison->same);
        self::assertCount(5, $comparison->losses());
        // The other way round nothing but the new address is lost.
        self::assertContains('gone mail.bells.example AAAA mail', self::differences($after, self::WHOLE));
    }

    #[TestWith(['bells.example', 'A', '192.0.2.1', Service::Web])]
    #[TestWith(['shop.bells.example', 'AAAA', '2001:db8::1', Service::Web])]
    #[TestWith(['mx2.bells.example', 'A', '192.0.2.1', Service::Mail])]
    #[TestWith(['autodiscover.bells.example', 'CNAME', 'a.example.', Service::Mail])]
    #[TestWith(['k1._domainkey.bells.example', 'CNAME', 'k1.a.example.', Service::MailTrust])]
    #[TestWith(['_dmarc.bells.example', 'TXT', '"v=DMARC1; p=none"', Service::MailTrust])]
    #[TestWith(['bells.example', 'TXT', '"shop-verification=abc"', Service::Proof])]
    #[TestWith(['_0123abc.bells.example', 'CNAME', 'x.a.example.', Service::Proof])]
    #[TestWith(['_submission._tcp.bells.example', 'SRV', '0 1 587 mail.bells.example.', Service::Mail])]
    #[TestWith(['_sip._tcp.bells.example', 'SRV', '0 1 5060 sip.bells.example.', Service::Other])]
    #[TestWith(['bells.example', 'CAA', '0 issue "ca.example"', Service::Certificates])]
    #[TestWith(['sub.bells.example', 'NS', 'ns1.a.example.', Service::Delegation])]
    #[TestWith(['bells.example', 'TYPE65280', '\# 0', Service::Other])]
    public function test_what_hangs_on_a_record(string $host, string $type, string $data, Service $expected): void
    {
        self::assertSame($expected, Service::of('bells.example', $host, $type, $data));
    }
}
