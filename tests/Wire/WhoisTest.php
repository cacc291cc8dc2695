<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Whois\WhoisDomain;
use Acre\Wire\Whois\WhoisError;
use Acre\Wire\Whois\WhoisText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Texts in the two layouts that are in use (common practice), with invented contents. */
final class WhoisTest extends TestCase
{
    private const PAIRS = <<<'TEXT'
    % Terms: ask no more than you need.
    Domain Name: WICKERBY-BELLS.COM
    Registrar: Skerry Registrations
    Domain Status: clientTransferProhibited https://status.example/epp#clientTransferProhibited
    Domain Status: ok (https://status.example/epp#ok)
    Creation Date: 2019-10-13T08:00:00Z
    Registry Expiry Date: 2026-10-13T08:00:00Z
    Updated Date: 13-Jan-2026
    Name Server: NS1.WIRE.EXAMPLE
    Name Server: ns2.wire.example 192.0.2.7
    TEXT;

    private const BLOCKS = <<<'TEXT'

        Domain name:
            tram-tickets.co.uk

        Registrar:
            Oriel Names [Tag = ORIEL-EXAMPLE]
            URL: https://oriel.example

        Relevant dates:
            Registered on: 03-Mar-2020
            Expiry date:  03-Mar-2027

        Registration status:
            Registered until expiry date.

        Name servers:
            ns1.oriel.example
            ns2.oriel.example         192.0.2.9

    TEXT;

    public function test_pairs_are_read(): void
    {
        $domain = WhoisDomain::of(WhoisText::read(str_replace("\n", "\r\n", self::PAIRS)));
        self::assertSame(
            [
                'wickerby-bells.com',
                'Skerry Registrations',
                null,
                ['clientTransferProhibited', 'ok'],
                '2019-10-13',
                '2026-10-13',
                '2026-01-13',
                ['ns1.wire.example', 'ns2.wire.example'],
            ],
            [
                $domain->name,
                $domain->registrar,
                $domain->tag,
                $domain->statuses,
                $domain->created,
                $domain->ends,
                $domain->changed,
                $domain->servers,
            ],
        );
    }

    public function test_blocks_are_read_and_a_tag_stands_apart_from_the_registrar(): void
    {
        $domain = WhoisDomain::of(WhoisText::read(self::BLOCKS));
        self::assertSame(
            [
                'tram-tickets.co.uk',
                'Oriel Names',
                'ORIEL-EXAMPLE',
                ['Registered until expiry date.'],
                '2020-03-03',
                '2027-03-03',
                null,
                ['ns1.oriel.example', 'ns2.oriel.example'],
            ],
            [
                $domain->name,
                $domain->registrar,
                $domain->tag,
                $domain->statuses,
                $domain->created,
                $domain->ends,
                $domain->changed,
                $domain->servers,
            ],
        );
    }

    /**
     * The forms of .pl, .jp and .fr, from memory: values that go on below, keys in brackets in two languages, a key of its own for EPP's
     * statuses.
     */
    public function test_directories_that_write_it_their_own_way(): void
    {
        $polish =
            "DOMAIN NAME:           dzwony.pl\nregistrant type:       organization\nnameservers:           ns1.wire.example. "
                ."[192.0.2.7]\n                       ns2.wire.example. [192.0.2.9]\ncreated:               2009.11.30 13:00:00\nlast "
                ."modified:         2026.10.05 09:53:13\nrenewal date:          2027.11.29 13:00:00\n\nno option\n\ndnssec:               "
                ." Unsigned\n\n\nREGISTRAR:\nOriel Names sp. z o.o.\nul. Dzwonowa 1\n+48.1\n";
        $japanese =
            "[ This directory is for those who ask. ]\n\nDomain Information:\n[Domain Name]                   KANE.JP\n\n[登録者名]           "
                ."           鐘の店\n[Registrant]                    Bell Shop\n\n[Name Server]                   ns1.wire.example\n[Name "
                ."Server]                   ns2.wire.example\n[Signing Key]\n\n[登録年月日]                    2001/03/22\n[有効期限]              "
                ."        2027/03/31\n[状態]                          Active\n[最終更新]                      2026/04/01 01:03:22 (JST)\n";
        $of = fn (string $bytes): WhoisDomain => WhoisDomain::of(WhoisText::read($bytes));
        $told = fn (WhoisDomain $domain): array => [
            $domain->name,
            $domain->registrar,
            $domain->registrant,
            $domain->statuses,
            $domain->created,
            $domain->ends,
            $domain->changed,
            $domain->servers,
        ];
        $servers = ['ns1.wire.example', 'ns2.wire.example'];
        self::assertSame(
            ['dzwony.pl', 'Oriel Names sp. z o.o.', null, [], '2009-11-30', '2027-11-29', '2026-10-05', $servers],
            $told($of($polish)),
        );
        self::assertSame(
            ['kane.jp', null, 'Bell Shop', ['Active'], '2001-03-22', '2027-03-31', '2026-04-01', $servers],
            $told($of($japanese)),
        );
        self::assertSame($told($of($japanese)), $told($of(mb_convert_encoding($japanese, 'ISO-2022-JP', 'UTF-8'))));
        $company = $of(
            "a. [ドメイン名]                 KANE.CO.JP\ng. [Organization]               Bell Shop Inc.\np. [ネームサーバ]               "
                ."ns1.wire.example\n[状態]                          Connected (2027/03/31)\n[ Created on ] / [登録年月日]   2001/03/22\n",
        );
        self::assertSame(
            ['kane.co.jp', ['Connected'], '2001-03-22', '2027-03-31'],
            [$company->name, $company->statuses, $company->created, $company->ends],
        );
        self::assertSame(
            ['clientHold', 'serverHold'],
            $of("domain: cloche.fr\nstatus: ACTIVE\neppstatus: clientHold\neppstatus: serverHold\nhold: YES\n")->statuses,
        );
    }

    #[TestWith(['No match for "NOBODY.COM".', true])]
    #[TestWith(['No information available about domain name nobody.pl in the directory.', true])]
    #[TestWith(["% nothing here\nNot found: nobody.com", true])]
    #[TestWith(["Domain: nobody.de\nStatus: free", true])]
    #[TestWith(["    No match for \"nobody.co.uk\".\n\n    This domain name has not been registered.", true])]
    #[TestWith(['some.com is free', true])]
    #[TestWith(['The name some.com is available for registration.', true])]
    #[TestWith(["% This service is free of charge\nDomain: some.de", false])]
    #[TestWith(['Access to this data is free of charge and is available to everybody', false])]
    #[TestWith(["Domain: some.de\nStatus: connect", false])]
    #[TestWith(["Domain Name: NOT-FOUND.COM\nRegistrar: Skerry", false])]
    public function test_an_empty_record_says_so(string $text, bool $saysNothing): void
    {
        self::assertSame($saysNothing, WhoisText::read($text)->saysNothing());
    }

    public function test_other_letters_are_read_and_control_characters_left_out(): void
    {
        $text = WhoisText::read(mb_convert_encoding("Registrant: M\u{fc}hle\x1b[31m & Co\u{a0}KG\n", 'Windows-1252', 'UTF-8'));
        self::assertSame('Mühle [31m & Co KG', str_replace("\u{a0}", ' ', (string) WhoisDomain::of($text)->registrant));
        // An override of the direction of writing would turn what stands beside it around.
        self::assertSame('ab', WhoisText::read("Holder: a\u{202e}b")->value('holder'));
    }

    public function test_too_much_and_nothing_are_refused(): void
    {
        foreach (
            ['' => 'without a word', " \r\n " => 'without a word', str_repeat("a: b\n", 50_000) => 'are read at most'] as $bytes => $said
        ) {
            try {
                WhoisText::read($bytes);
                self::fail($said);
            } catch (WhoisError $e) {
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
    }

    public function test_whatever_arrives_is_read(): void
    {
        $random = new Randomizer(new Mt19937(3912));
        for ($run = 0; $run < 1000; $run++) {
            $text = self::PAIRS.self::BLOCKS;
            for ($cuts = 0; $cuts < 5; $cuts++) {
                $at = $random->getInt(0, strlen($text) - 1);
                $text = substr($text, 0, $at).$random->getBytes($random->getInt(1, 6)).substr($text, $at + $random->getInt(0, 60));
            }
            $domain = WhoisDomain::of(WhoisText::read($text));
            self::assertNotContains('', [...$domain->servers, ...$domain->statuses]);
        }
    }
}
