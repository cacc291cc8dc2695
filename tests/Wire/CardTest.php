<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Card\CardError;
use Acre\Wire\Card\Cards;
use Acre\Wire\Card\ContactCard;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CardTest extends TestCase
{
    /** @return array<int, ContactCard|string> errors by what they say */
    private static function read(string $text): array
    {
        return array_map(
            fn (ContactCard|CardError $one): ContactCard|string => $one instanceof CardError ? $one->getMessage() : $one,
            iterator_to_array(Cards::read($text)),
        );
    }

    public function test_what_is_written_is_read_again(): void
    {
        foreach (
            [
                new ContactCard(
                    'org',
                    'Bells; Sons, & Co',
                    'Gudrun Kettle',
                    ['PO Box 7', 'Foundry Lane'],
                    'Wickerby',
                    'Sound',
                    'WS1 4AB',
                    'GB',
                    '+44.1632960123',
                    'ledger@bells.example',
                ),
                new ContactCard('individual', null, "Séamus O'Brien \u{202E}x", [], null, null, null, null, null, 's@obrien.example'),
                new ContactCard('org', '観光協会', null, [], '東京', null, '100-0001', 'JP', null, null),
            ] as $card
        ) {
            $again = self::read(Cards::write($card))[1];
            self::assertInstanceOf(ContactCard::class, $again);
            // A card of an organisation with a person in it is read with that person.
            self::assertEquals(
                [$card->person, $card->street, $card->town, $card->region, $card->postcode, $card->country, $card->mailbox],
                [
                    $again->kind === 'org' ? ($card->person === null ? null : $card->person) : $again->person,
                    $again->street,
                    $again->town,
                    $again->region,
                    $again->postcode,
                    $again->country,
                    $again->mailbox,
                ],
            );
            self::assertSame(
                [$card->organisation, str_replace('.', '', (string) $card->voice)],
                [$again->organisation, (string) $again->voice],
            );
        }
        foreach (explode("\r\n", Cards::write(new ContactCard('org', str_repeat('ü', 200), null))) as $line) {
            self::assertLessThanOrEqual(75, strlen($line), 'RFC 6350 §3.2');
        }
    }

    /** The card of RFC 6350 §8; and the older versions that address books still write. */
    public function test_cards_of_others_are_read(): void
    {
        $author = self::read(
            "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Simon Perreault\r\nN:Perreault;Simon;;;ing. "
                ."jr,M.Sc.\r\nBDAY:--0203\r\nGENDER:M\r\nLANG;PREF=1:fr\r\nORG;TYPE=work:Viagenie\r\nADR;TYPE=work:;Suite D2-630;2875 "
                ."Laurier;\r\n Quebec;QC;G1V "
                ."2M2;Canada\r\nTEL;VALUE=uri;TYPE=\"work,voice\";PREF=1:tel:+1-418-656-9254;ext=102\r\nEMAIL;"
                ."TYPE=work:simon.perreault@viagenie.ca\r\nEND:VCARD\r\n",
        )[1];
        self::assertEquals(
            new ContactCard(
                null,
                'Viagenie',
                'Simon Perreault',
                ['Suite D2-630', '2875 Laurier'],
                'Quebec',
                'QC',
                'G1V 2M2',
                'Canada',
                '+1-418-656-9254 ext. 102',
                'simon.perreault@viagenie.ca',
            ),
            $author,
        );
        $older = self::read(
            "BEGIN:VCARD\nVERSION:2.1\nN:Kettle;Gudrun\nORG:Bells\nTEL;WORK;VOICE:01632 "
                ."960123\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:Bells\nORG:Bells;Casting\nEND:VCARD\n",
        );
        self::assertEquals(
            [new ContactCard(null, 'Bells', 'Gudrun Kettle', voice: '01632 960123'), new ContactCard(null, 'Bells', null)],
            array_values($older),
        );
    }

    /** vCard 2.1 §2.1.3 and §2.1.4 as old telephones write it: quoted-printable, with soft breaks, in two character sets. */
    public function test_letters_of_old_cards_are_read(): void
    {
        $old = self::read(
            "BEGIN:VCARD\r\nVERSION:2.1\r\nN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:Kessel=C3=B6hr;J=C3=BCrgen\r\nFN;CHARSET=UTF-8;"
                ."ENCODING=QUOTED-PRINTABLE:J=C3=BCrgen=\r\n=20Kessel=C3=B6hr\r\n".
                'ADR;WORK;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:;;Gro=DFe Gasse 3=0D=0AHof 2=3B '
                    ."links;K=F6ln;;50667;Deutschland\r\nORG;QUOTED-PRINTABLE;CHARSET=ISO-8859-1:Glocken =\r\n& S=F6hne\r\nEND:VCARD\r\n",
        )[1];
        self::assertEquals(
            new ContactCard(
                null,
                'Glocken & Söhne',
                'Jürgen Kesselöhr',
                ['Große Gasse 3', 'Hof 2; links'],
                'Köln',
                null,
                '50667',
                'Deutschland',
            ),
            $old,
        );
        $latin = self::read(
            "BEGIN:VCARD\nVERSION:3.0\nFN;CHARSET=ISO-8859-1:M\xf6we\nORG:Glocken & "
                ."S\xf6hne\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:M\xc3\n \xb6we\nEND:VCARD\n",
        );
        self::assertEquals([new ContactCard(null, 'Glocken & Söhne', 'Möwe'), new ContactCard(person: 'Möwe')], array_values($latin));
        self::assertEquals(
            new ContactCard(person: 'М'),
            self::read("BEGIN:VCARD\nVERSION:2.1\nFN;CHARSET=windows-1251:\xcc\nEND:VCARD\n")[1],
        );
    }

    #[TestWith(['EMAIL;INTERNET:first@bell.example', 'EMAIL;INTERNET;PREF:second@bell.example', 'second@bell.example'])]
    #[TestWith(['EMAIL;TYPE=HOME:first@bell.example', 'EMAIL;TYPE=INTERNET,WORK:second@bell.example', 'second@bell.example'])]
    #[TestWith(['EMAIL;TYPE=HOME;PREF=1:first@bell.example', 'EMAIL;TYPE=WORK;PREF=2:second@bell.example', 'first@bell.example'])]
    #[TestWith(['TEL;TYPE=fax:+44 1', 'TEL;TYPE=cell:+44 2', '+44 2'])]
    #[TestWith(['TEL;FAX;WORK:+44 1', 'TEL;HOME:+44 2', '+44 2'])]
    #[TestWith(['TEL;TYPE=fax,pref:+44 1', 'TEL;TYPE=pager:+44 2', null])]
    #[TestWith(['TEL;TYPE=fax,voice:+44 1', 'TEL;TYPE=home:+44 2', '+44 1'])]
    public function test_of_several_the_one_that_is_meant(string $first, string $second, ?string $chosen): void
    {
        $card = self::read("BEGIN:VCARD\nVERSION:3.0\nFN:Gudrun Kettle\n{$first}\n{$second}\nEND:VCARD\n")[1];
        self::assertInstanceOf(ContactCard::class, $card);
        self::assertSame($chosen, str_starts_with($first, 'TEL') ? $card->voice : $card->mailbox);
    }

    public function test_what_is_broken_is_told_by_its_number_and_the_rest_is_read(): void
    {
        $read = self::read(
            "BEGIN:VCARD\nVERSION:3.0\nFN:One\nEND:VCARD\nBEGIN:VCARD\nno colon here\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:Three\n",
        );
        self::assertSame([1, 2, 3], array_keys($read));
        self::assertEquals(new ContactCard(person: 'One'), $read[1]);
        $whole = fn (ContactCard|string $one): bool => $one instanceof ContactCard || str_contains($one, 'Card ');
        self::assertTrue($whole($read[2]) && $whole($read[3]));
    }

    #[TestWith(["name,ends\nbell.com,2027-11-02\n", 'no card'])]
    #[TestWith(['', 'no card'])]
    public function test_what_is_no_file_of_cards_says_so(string $text, string $why): void
    {
        $this->expectExceptionMessage($why);
        self::read($text);
    }

    public function test_too_much_is_not_read(): void
    {
        foreach (
            [str_repeat("BEGIN:VCARD\nVERSION:3.0\nFN:x\nEND:VCARD\n", 1_001), "BEGIN:VCARD\n".str_repeat('x', 2_000_001)] as $text
        ) {
            try {
                self::read($text);
                self::fail('It was read.');
            } catch (CardError $e) {
                self::assertStringContainsString('than', $e->getMessage());
            }
        }
    }

    public function test_bytes_of_no_sense_never_hang_and_never_break(): void
    {
        mt_srand(6350);
        $card = Cards::write(new ContactCard('org', 'Bells', 'Gudrun', ['1'], 'T', 'R', 'P', 'GB', '+44.1632960123', 'g@bells.example'));
        for ($round = 0; $round < 300; $round++) {
            $bytes = $card;
            for ($at = mt_rand(1, 8); $at > 0; $at--) {
                $bytes[mt_rand(12, strlen($bytes) - 1)] = chr(mt_rand(0, 255));
            }
            try {
                foreach (Cards::read($bytes) as $one) {
                    self::assertTrue($one instanceof ContactCard || $one->getMessage() !== '');
                }
            } catch (CardError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }
}
