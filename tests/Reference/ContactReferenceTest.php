<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Contact\Country;
use Acre\Core\Contact\Phone;
use Acre\Wire\Card\Cards;
use Acre\Wire\Card\ContactCard;
use libphonenumber\PhoneNumberUtil;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Contacts held against data and programs of others: Debian's iso-codes, Python's phonenumbers and vobject, ical.js. */
final class ContactReferenceTest extends TestCase
{
    /** @param  array<string, string>  $with */
    private static function python(string $program, array $with): string
    {
        return (new Process(['/usr/bin/python3', '-c', $program], null, ['PYTHONIOENCODING' => 'utf-8'] + $with, null, 60))
            ->mustRun()
            ->getOutput();
    }

    /** Debian's iso-codes: the countries of ISO 3166-1, and no other. ICU names every one of them. */
    public function test_countries_are_those_of_iso_codes(): void
    {
        /** @var array{'3166-1': list<array{alpha_2: string}>} $read */
        $read = json_decode((string) file_get_contents('/usr/share/iso-codes/json/iso_3166-1.json'), true, flags: JSON_THROW_ON_ERROR);
        $codes = array_column($read['3166-1'], 'alpha_2');
        sort($codes);
        self::assertSame($codes, array_keys(Country::all()));
        foreach ($codes as $code) {
            self::assertNotSame($code, Country::of($code)->name());
        }
    }

    /**
     * The example number of every region, written as registries read it (RFC 5733 §2.5), is read by Python's phonenumbers as the same
     * number. Both descend from one body of data: this tests our writing, and an edition of the data some years older.
     */
    public function test_example_numbers_of_every_region_are_written_as_others_read_them(): void
    {
        $util = PhoneNumberUtil::getInstance();
        $written = [];
        foreach ($util->getSupportedRegions() as $region) {
            $example = $util->getExampleNumber((string) $region);
            if ($example !== null) {
                $phone = Phone::of(
                    $example->getRawInput() ?? '+'.$example->getCountryCode().$util->getNationalSignificantNumber($example),
                );
                self::assertSame(1, preg_match('/^\+[0-9]{1,3}\.[0-9]{1,14}$/D', $phone->epp()), $phone->epp());
                $written[(string) $region] = $phone->epp();
            }
        }
        self::assertGreaterThan(230, count($written));
        $read = self::python(
            <<<'PY'
            import json, os, phonenumbers
            out = {}
            for region, epp in json.loads(os.environ['WRITTEN']).items():
                code, rest = epp[1:].split('.')
                number = phonenumbers.parse('+' + code + rest, None)
                out[region] = [
                    number.country_code == int(code),
                    phonenumbers.national_significant_number(number) == rest,
                    phonenumbers.is_possible_number(number),
                    phonenumbers.region_code_for_number(number),
                ]
            print(json.dumps(out))
            PY
            ,
            ['WRITTEN' => json_encode($written, JSON_THROW_ON_ERROR)],
        );
        /** @var array<string, array{bool, bool, bool, string|null}> $said */
        $said = json_decode($read, true, flags: JSON_THROW_ON_ERROR);
        $elsewhere = [];
        foreach ($said as $region => [$code, $rest, $possible, $where]) {
            self::assertTrue($code && $rest, "{$region}: {$written[$region]}");
            if (! $possible || $where !== $region) {
                $elsewhere[] = $region;
            }
        }
        // What was given out since that older edition.
        self::assertLessThan(15, count($elsewhere), implode(' ', $elsewhere));
    }

    /**
     * What is not from that data: the United Kingdom's numbers for drama (Ofcom) and the North American 555-01xx are possible, and given to
     * nobody in the first case.
     */
    public function test_numbers_for_drama_are_taken(): void
    {
        self::assertFalse(Phone::of('+44 1632 960123')->isGivenOut());
        self::assertSame('+1.4155550132', Phone::of('+1 (415) 555-0132')->epp());
    }

    /** A card of ours says the same to Python's vobject (strict) and to ical.js. */
    public function test_cards_are_read_by_two_other_libraries(): void
    {
        $card = Cards::write(
            new ContactCard(
                'org',
                'Bells; Sons, & Co',
                'Gudrun Kettle',
                ['PO Box 7', 'Föundry Lane'],
                'Wickerby',
                'Sound',
                'WS1 4AB',
                'GB',
                '+44.1632960123',
                'ledger@bells.example',
            ),
        );
        $expected = [
            'Gudrun Kettle',
            'Bells; Sons, & Co',
            'ledger@bells.example',
            ['PO Box 7, Föundry Lane', 'Wickerby', 'Sound', 'WS1 4AB', 'GB'],
            'tel:+441632960123',
        ];
        $python = self::python(
            <<<'PY'
            import json, os, vobject
            card = vobject.readOne(os.environ['CARD'])
            a = card.adr.value
            print(
                json.dumps([
                    card.fn.value,
                    card.org.value[0],
                    card.email.value,
                    [a.street, a.city, a.region, a.code, a.country],
                    card.tel.value,
                ]),
            )
            PY
            ,
            ['CARD' => $card],
        );
        self::assertSame($expected, json_decode($python, true));
        $script = (new Process(
            [
                'node',
                '--input-type=module',
                '-e',
                <<<'JS'
                import ICAL from 'ical.js';
                const card = new ICAL.Component(ICAL.parse(process.env.CARD));
                const value = (name) => card.getFirstProperty(name).getFirstValue();
                console.log(
                    JSON.stringify([value('fn'), [value('org')].flat()[0], value('email'), value('adr').slice(2), String(value('tel'))]),
                );
                JS
                ,
            ],
            dirname(__DIR__, 2),
            ['CARD' => $card],
            null,
            60,
        ))
            ->mustRun()
            ->getOutput();
        self::assertSame($expected, json_decode($script, true));
    }
}
