<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Finding\Finding;
use Acre\Core\Zone\Dmarc;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\MailSaid;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a name says about mail: RFC 5321, 6376, 7208, 7489, 7505. */
final class MailSaidTest extends TestCase
{
    private const SOUND = [
        'a.com MX 10 mx.a.com.',
        'mx.a.com A 192.0.2.1',
        'a.com TXT "v=spf1 mx " "-all"',
        '_dmarc.a.com TXT "v=DMARC1; p=reject; rua=mailto:d@a.com"',
        's1._domainkey.a.com TXT "v=DKIM1; k=rsa; p=MIGf"',
    ];

    /** @return iterable<string, array{list<string>, list<string>}> records, findings */
    public static function zones(): iterable
    {
        $without = fn (string $part): array => array_values(
            array_filter(self::SOUND, fn (string $one): bool => ! str_contains($one, $part)),
        );
        $with = fn (string $part, string $instead): array => [...$without($part), $instead];
        yield 'sound' => [self::SOUND, []];
        yield 'no exchange' => [$without(' MX '), ['no_exchange']];
        yield 'an exchange elsewhere' => [$with(' MX ', 'a.com MX 10 mx.elsewhere.example.'), []];
        yield 'an exchange that is not there' => [$without('mx.a.com A'), ['exchange_not_there']];
        yield 'an exchange by a wildcard' => [$with('mx.a.com A', '*.a.com A 192.0.2.2'), []];
        yield 'an exchange that is an alias' => [$with('mx.a.com A', 'mx.a.com CNAME b.example.'), ['exchange_is_alias']];
        yield 'a null exchange that sends nothing' => [
            ['a.com MX 0 .', 'a.com TXT "v=spf1 -all"', '_dmarc.a.com TXT "v=DMARC1; p=reject"'],
            [],
        ];
        yield 'a null exchange that may send' => [
            ['a.com MX 0 .', 'a.com TXT "v=spf1 mx -all"', '_dmarc.a.com TXT "v=DMARC1; p=reject"'],
            ['may_send'],
        ];
        yield 'a null exchange beside another' => [[...self::SOUND, 'a.com MX 0 .'], ['null_beside_others']];
        yield 'no word who may send' => [$without('spf1'), ['no_spf']];
        yield 'two words who may send' => [[...self::SOUND, 'a.com TXT "v=spf1 -all"'], ['spf_broken']];
        yield 'everybody may send' => [$with('spf1', 'a.com TXT "v=spf1 mx +all"'), ['spf_open']];
        yield 'near the limit' => [
            $with('spf1', 'a.com TXT "v=spf1 a:b1.com a:b2.com a:b3.com a:b4.com a:b5.com a:b6.com a:b7.com a:b8.com mx -all"'),
            ['spf_near_limit'],
        ];
        yield 'no word of what is forged' => [$without('_dmarc'), ['no_dmarc']];
        yield 'only watching' => [$with('_dmarc', '_dmarc.a.com TXT "v=DMARC1;p=none"'), ['dmarc_none']];
        yield 'a policy that is none' => [$with('_dmarc', '_dmarc.a.com TXT "v=DMARC1; p=maybe"'), ['dmarc_broken']];
        yield 'two policies' => [[...self::SOUND, '_dmarc.a.com TXT "v=DMARC1; p=none"'], ['dmarc_broken']];
        yield 'a key that was withdrawn' => [$with('_domainkey', 's1._domainkey.a.com TXT "v=DKIM1; p="'), ['key_unusable']];
        yield 'a key elsewhere' => [$with('_domainkey', 's1._domainkey.a.com CNAME k.host.example.'), []];
    }

    /**
     * @param  list<string>  $records
     * @param  list<string>  $findings
     */
    #[DataProvider('zones')]
    public function test_it_is_judged(array $records, array $findings): void
    {
        $found = self::of($records)->findings();
        self::assertSame($findings, array_map(fn (Finding $one): string => (string) $one->tag->value, $found));
    }

    public function test_the_most_wanted_exchange_comes_first_and_selectors_are_known(): void
    {
        $said = self::of(['a.com MX 20 second.example.', 'a.com MX 5 first.example.', 'k1._domainkey.a.com TXT "p=abc"']);
        self::assertSame([['first.example', 'second.example'], ['k1'], false], [$said->exchanges, $said->selectors, $said->takesNone()]);
    }

    /** RFC 7489 appendix B.2. */
    public function test_a_policy_is_read(): void
    {
        $one = Dmarc::of(['v=DMARC1; p=none; rua=mailto:dmarc-feedback@example.com']);
        self::assertSame(
            ['none', 'none', 100, ['dmarc-feedback@example.com']],
            [$one?->policy, $one?->subdomains, $one?->percent, $one?->reports],
        );
        $other = Dmarc::of(['v=DMARC1; p=quarantine; rua=mailto:a@example.com, mailto:b@thirdparty.example.com!10m; sp=reject; pct=25']);
        self::assertSame(
            ['quarantine', 'reject', 25, ['a@example.com', 'b@thirdparty.example.com']],
            [$other?->policy, $other?->subdomains, $other?->percent, $other?->reports],
        );
        self::assertNull(Dmarc::of(['v=spf1 -all', 'V=DMARC1; p=none']));
        self::assertSame('none', Dmarc::of(['v=DMARC1; p=x; rua=mailto:a@b.example'])?->policy, 'with somewhere to report to (§6.6.3)');
    }

    /** @param  list<string>  $records */
    private static function of(array $records): MailSaid
    {
        return MailSaid::of(ZoneCopy::of('a.com', array_map(function (string $record): Entry {
            [$host, $type, $data] = explode(' ', $record, 3);

            return new Entry($host, $type, 3600, $data);
        }, $records)));
    }
}
