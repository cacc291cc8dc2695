<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\ContactCreate;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainRenew;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\HostAddresses;
use Acre\Wire\Epp\Command\HostCreate;
use Acre\Wire\Epp\Command\HostUpdate;
use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\Availability;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\Data\HostData;
use Acre\Wire\Epp\Data\NewEnd;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\TransferData;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppError;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppGreeting;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use DateTimeImmutable;
use DOMDocument;
use DOMElement;
use LogicException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Frames in the shapes of RFC 5730, 5731, 3915 and 5910, with invented contents; tests/Reference holds them against the RFCs' own schemas
 * and examples.
 */
final class EppTest extends TestCase
{
    private static function response(string $inside, string $code = '1000', string $extension = ''): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?><epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response>'.
            "<result code=\"{$code}\"><msg>Done</msg></result>{$inside}{$extension}<trID><clTRID>A-1</clTRID><svTRID>S-1</svTRID></trID>"
                .'</response></epp>';
    }

    private function answer(string $inside, string $code = '1000', string $extension = ''): EppResponse
    {
        $answer = EppFrame::read(self::response($inside, $code, $extension));
        self::assertInstanceOf(EppResponse::class, $answer);

        return $answer;
    }

    public function test_a_name_is_read_with_its_grace_period_and_its_keys(): void
    {
        $data = DomainData::of(
            $this->answer(
                <<<'XML'
                <resData><domain:infData xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>Wickerby-Bells.COM</domain:name>
                <domain:roid>7-REG</domain:roid>
                <domain:status s="clientTransferProhibited"/><domain:status s="ok" lang="en">fine</domain:status>
                <domain:registrant>H-1</domain:registrant>
                <domain:contact type="tech">H-2</domain:contact><domain:contact type="tech">H-3</domain:contact>
                <domain:ns><domain:hostObj>NS1.wire.example</domain:hostObj><domain:hostObj>ns2.wire.example</domain:hostObj></domain:ns>
                <domain:clID>skerry</domain:clID><domain:crDate>2019-10-13T08:00:00.0Z</domain:crDate>
                <domain:exDate>2026-10-13T08:00:00Z</domain:exDate>
                <domain:authInfo><domain:pw>a &lt; b</domain:pw></domain:authInfo></domain:infData></resData>
                XML
                ,
                '1000',
                '<extension><rgp:infData xmlns:rgp="urn:ietf:params:xml:ns:rgp-1.0"><rgp:rgpStatus s="autoRenewPeriod"/></rgp:infData>'.
                    '<secDNS:infData xmlns:secDNS="urn:ietf:params:xml:ns:secDNS-1.1"><secDNS:dsData><secDNS:keyTag>60485</secDNS:keyTag>'
                        .'<secDNS:alg>5</secDNS:alg><secDNS:digestType>1</secDNS:digestType><secDNS:digest>2bb1</secDNS:digest>'
                        .'</secDNS:dsData></secDNS:infData>'.
                    '<odd:thing xmlns:odd="urn:nobody:knows">kept</odd:thing></extension>',
            ),
        );
        self::assertSame(
            ['wickerby-bells.com', ['clientTransferProhibited', 'ok', 'autoRenewPeriod'], 'skerry', 'a < b'],
            [$data->name, $data->statuses, $data->sponsor, $data->code],
        );
        self::assertSame([['tech' => ['H-2', 'H-3']], ['ns1.wire.example', 'ns2.wire.example']], [$data->contacts, $data->servers]);
        self::assertSame(['2026-10-13', null], [$data->ends?->format('Y-m-d'), $data->moved]);
        self::assertSame([60485, '2BB1'], [$data->ds[0]->keyTag, $data->ds[0]->digest]);
    }

    public function test_an_extension_that_nobody_knows_is_kept_whole(): void
    {
        $answer = $this->answer(
            '',
            '1000',
            '<extension><odd:thing xmlns:odd="urn:nobody:knows"><odd:in>kept</odd:in></odd:thing></extension>',
        );
        self::assertStringContainsString(
            '<odd:thing xmlns:odd="urn:nobody:knows"><odd:in>kept</odd:in></odd:thing>',
            $answer->extensions[0]->source(),
        );
        self::assertNull($answer->extension(EppNamespace::Fee, 'infData'));
    }

    public function test_results_transfers_renewals_and_messages(): void
    {
        $domain = 'xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"';
        $moved = TransferData::of(
            $this->answer(
                '<resData><domain:trnData '
                    ."{$domain}><domain:name>bell.com</domain:name><domain:trStatus>pending</domain:trStatus>"
                    .'<domain:reID>oriel</domain:reID><domain:reDate>2026-10-06T09:00:00Z</domain:reDate>'
                    .'<domain:acID>skerry</domain:acID><domain:acDate>2026-10-11T09:00:00Z</domain:acDate></domain:trnData></resData>',
                '1001',
            ),
        );
        self::assertSame(
            ['pending', 'oriel', '2026-10-11', null],
            [$moved->state, $moved->asker, $moved->actAt?->format('Y-m-d'), $moved->ends],
        );
        self::assertSame(
            '2027-11-02',
            NewEnd::of(
                $this->answer(
                    '<resData><domain:renData '
                        ."{$domain}><domain:name>bell.com</domain:name><domain:exDate>2027-11-02T00:00:00Z</domain:exDate>"
                        .'</domain:renData></resData>',
                ),
            )->ends?->format('Y-m-d'),
        );
        $free = Availability::allOf(
            $this->answer(
                '<resData><domain:chkData '
                    ."{$domain}><domain:cd><domain:name avail=\"1\">a.com</domain:name></domain:cd><domain:cd><domain:name "
                    .'avail="false">b.com</domain:name><domain:reason>In use</domain:reason></domain:cd></domain:chkData></resData>',
            ),
            EppObject::Domain,
        );
        self::assertSame(
            [true, null, false, 'In use'],
            [$free['a.com']->isFree, $free['a.com']->reason, $free['b.com']->isFree, $free['b.com']->reason],
        );
        $message = $this->answer(
            '<msgQ count="5" id="12345"><qDate>2026-10-06T09:00:00Z</qDate><msg>Transfer asked for.</msg></msgQ>',
            '1301',
        );
        $first = $message->message ?? self::fail('There is no message.');
        self::assertSame(
            [EppCode::AckToDequeue, 5, '12345', 'Transfer asked for.'],
            [$message->code(), $first->count, $first->id, $first->text],
        );
        self::assertSame(['A-1', 'S-1'], [$message->client, $message->server]);
    }

    public function test_a_refusal_says_why_and_a_code_that_the_rfc_lacks_is_refused(): void
    {
        $text = str_replace(
            '<msg>Done</msg>',
            '<msg>No</msg><value><x xmlns="">bell</x></value><extValue><value><x xmlns="">5</x></value><reason>too many '
                .'years</reason></extValue>',
            self::response('', '2306'),
        );
        $answer = EppFrame::read($text);
        self::assertInstanceOf(EppResponse::class, $answer);
        self::assertSame(
            [EppCode::Policy, ['bell', '5: too many years'], false],
            [$answer->code(), $answer->results[0]->why, $answer->code()->isSuccess()],
        );
        $this->expectException(EppError::class);
        $this->expectExceptionMessage('no result code 2999');
        EppFrame::read(self::response('', '2999'));
    }

    public function test_a_greeting_says_what_may_be_spoken_of(): void
    {
        $greeting = EppFrame::read(
            '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><greeting><svID>Skerry '
                .'gate</svID><svDate>2026-10-06T09:00:00.0Z</svDate><svcMenu><version>1.0</version><lang>en</lang>'
                .'<objURI>urn:ietf:params:xml:ns:domain-1.0</objURI><svcExtension><extURI>urn:ietf:params:xml:ns:rgp-1.0</extURI>'
                .'</svcExtension></svcMenu><dcp><access><all/></access></dcp></greeting></epp>',
        );
        self::assertInstanceOf(EppGreeting::class, $greeting);
        self::assertSame('Skerry gate', $greeting->server);
        self::assertSame(
            [[EppNamespace::Domain->value], [EppNamespace::Grace->value]],
            [
                $greeting->keeps(EppNamespace::Host, EppNamespace::Domain, EppNamespace::Grace),
                $greeting->speaks(EppNamespace::Fee, EppNamespace::Grace, EppNamespace::Domain),
            ],
        );
    }

    public function test_commands_are_written_with_what_was_given_and_nothing_is_markup(): void
    {
        $frame = EppFrame::command(
            new DomainUpdate(
                'bell.com',
                new DomainChange(statuses: ['clientHold']),
                new DomainChange(servers: ['ns1.wire.example']),
                code: '<&"',
            ),
            'A-2',
        );
        self::assertStringContainsString(
            '<domain:add><domain:status '
                .'s="clientHold"/></domain:add><domain:rem><domain:ns><domain:hostObj>ns1.wire.example</domain:hostObj></domain:ns>'
                .'</domain:rem><domain:chg><domain:authInfo><domain:pw>&lt;&amp;&quot;</domain:pw>',
            $frame,
        );
        self::assertStringEndsWith("<clTRID>A-2</clTRID></command></epp>\n", $frame);
        self::assertStringContainsString(
            '<domain:chg/></domain:update></update><extension><rgp:update xmlns:rgp="urn:ietf:params:xml:ns:rgp-1.0"><rgp:restore '
                .'op="request"/>',
            EppFrame::command(new DomainUpdate('bell.com', restore: true), 'A-3'),
        );
        // The end that it renews from is a day of UTC, whatever zone it comes in (RFC 5731 §3.2.3).
        self::assertStringContainsString(
            '<domain:curExpDate>2026-10-13</domain:curExpDate>',
            EppFrame::command(new DomainRenew('bell.com', new DateTimeImmutable('2026-10-14T01:30:00+02:00'), 1), 'A-4'),
        );
        self::assertStringContainsString('<poll op="ack" msgID="12345"/>', EppFrame::command(Poll::kept('12345'), 'A-5'));
        self::assertStringContainsString(
            '<newPW>n</newPW>',
            EppFrame::command(new Login('skerry', 'p', [EppNamespace::Domain->value], [], 'n'), 'A-6'),
        );
    }

    /** What is written by hand is held against the machine's own reader (libxml), and what no XML may hold against XML 1.0 §2.2. */
    public function test_whatever_is_written_is_read_as_it_was_said(): void
    {
        $random = new Randomizer(new Mt19937(5730));
        $pieces = ['<', '>', '&', '"', "'", '&amp;', ']]>', '<!--', 'é', '名', '𝔸', "\u{202e}", 'a', 'b-c', '1 2', '%', '\\', '`'];
        for ($run = 0; $run < 300; $run++) {
            $said = implode(
                '',
                array_map(fn (): string => $pieces[$random->getInt(0, count($pieces) - 1)], range(0, $random->getInt(0, 12))),
            );
            $document = (new EppWriter())
                ->open('a', ['b' => $said], fn (EppWriter $to) => $to->text('c', $said)->sign('d', ['e' => $said]))
                ->document();
            $read = new DOMDocument();
            self::assertTrue($read->loadXML($document), $document);
            $inside = fn (string $name): DOMElement => $read->getElementsByTagName($name)->item(0) ?? self::fail($document);
            self::assertSame(
                [$said, $said, $said],
                [$inside('a')->getAttribute('b'), $inside('c')->textContent, $inside('d')->getAttribute('e')],
            );
        }
        foreach (
            [
                "\0" => "\u{fffd}",
                "\x1b" => "\u{fffd}",
                "\xff" => "\u{fffd}",
                "\u{ffff}" => "\u{fffd}",
                "\t" => "\t",
                "\x7f" => "\x7f",
            ] as $said => $written
        ) {
            $read = new DOMDocument();
            self::assertTrue($read->loadXML((new EppWriter())->text('a', "x{$said}y")->document()));
            self::assertSame("x{$written}y", $read->documentElement?->textContent);
        }
    }

    /** RFC 5734 §4: the length counts itself. */
    public function test_frames_are_found_however_their_bytes_arrive(): void
    {
        $frames = [EppFrame::hello(), EppFrame::command(new Check(EppObject::Domain, ['a.com']), 'A-1'), self::response('')];
        $bytes = implode('', array_map(EppFraming::pack(...), $frames));
        $random = new Randomizer(new Mt19937(5734));
        for ($run = 0; $run < 200; $run++) {
            $framing = new EppFraming();
            $found = [];
            for ($at = 0; $at < strlen($bytes); $at += $width) {
                $width = $random->getInt(1, 90);
                array_push($found, ...$framing->feed(substr($bytes, $at, $width)));
            }
            self::assertSame([$frames, false], [$found, $framing->isInside()]);
        }
    }

    #[TestWith(["\x00\x00\x00\x04"])]
    #[TestWith(["\x7f\xff\xff\xff<"])]
    #[TestWith(['HTTP/1.1 400 Bad Request'])]
    public function test_what_is_no_frame_is_refused_before_it_is_waited_for(string $bytes): void
    {
        $this->expectException(EppError::class);
        (new EppFraming())->feed($bytes);
    }

    #[TestWith(['<!DOCTYPE epp [<!ENTITY a "b">]><epp>&a;</epp>', 'declares a type at byte 0'])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response>', 'no XML'])]
    #[TestWith(["<epp>\n<a></b></epp>", 'in line 2'])]
    #[TestWith(['', 'nothing is in it'])]
    #[TestWith(["<epp>\xff</epp>", 'not UTF-8 from byte 5'])]
    #[TestWith(['<html/>', 'should begin with epp'])]
    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response><trID><svTRID>1</svTRID></trID></response></epp>',
        'epp/response/result is missing',
    ])]
    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response><result code="1000"><msg>x</msg></result></response></epp>',
        'epp/response/trID is missing',
    ])]
    public function test_what_is_malformed_is_refused_with_its_place(string $document, string $said): void
    {
        $this->expectException(XmlError::class);
        $this->expectExceptionMessage($said);
        EppFrame::read($document);
    }

    public function test_whatever_arrives_is_read_or_refused_and_nothing_else(): void
    {
        $random = new Randomizer(new Mt19937(5730));
        $whole = self::response('<msgQ count="5" id="1"><qDate>2026-10-06T09:00:00Z</qDate><msg>é</msg></msgQ>');
        $refused = 0;
        for ($run = 0; $run < 2000; $run++) {
            $at = $random->getInt(0, strlen($whole) - 1);
            $text = substr($whole, 0, $at).$random->getBytes($random->getInt(1, 3)).substr($whole, $at + $random->getInt(0, 30));
            try {
                EppFrame::read($text);
            } catch (XmlError|EppError) {
                $refused++;
            }
        }
        self::assertGreaterThan(1000, $refused);
        $this->expectException(XmlError::class);
        EppFrame::read(str_repeat('<a>', 5000));
    }

    public function test_hosts_and_contacts_are_written_and_read(): void
    {
        self::assertStringContainsString(
            '<host:addr ip="v4">192.0.2.7</host:addr><host:addr ip="v6">2001:db8::7</host:addr>',
            EppFrame::command(new HostCreate('ns1.wire.example', new HostAddresses(['192.0.2.7', '2001:db8::7'])), 'A-1'),
        );
        $update = EppFrame::command(new HostUpdate('ns1.wire.example', remove: new HostAddresses(['192.0.2.7'])), 'A-2');
        self::assertStringContainsString('<host:rem><host:addr ip="v4">192.0.2.7</host:addr></host:rem></host:update>', $update);
        self::assertStringNotContainsString('host:add>', $update);
        $postal = new PostalInfo(
            true,
            'Jöhn <Doe>',
            null,
            ['one', 'two', 'three', 'a fourth that has no place'],
            'Würzburg',
            null,
            '97070',
            'DE',
        );
        $create = EppFrame::command(new ContactCreate('H-1', [$postal], null, 'a@wire.example', 'c'), 'A-3');
        self::assertStringContainsString(
            '<contact:postalInfo type="loc"><contact:name>Jöhn &lt;Doe&gt;</contact:name><contact:addr>',
            $create,
        );
        self::assertSame(3, substr_count($create, '<contact:street>'), 'RFC 5733 §2.4 has room for three lines.');
        self::assertStringNotContainsString('contact:voice', $create);

        $host = HostData::of(
            $this->answer(
                '<resData><host:infData '
                    .'xmlns:host="urn:ietf:params:xml:ns:host-1.0"><host:name>NS1.wire.example</host:name><host:roid>1-R</host:roid>'
                    .'<host:status s="ok"/><host:addr '
                    .'ip="v6">2001:db8::7</host:addr><host:clID>skerry</host:clID></host:infData></resData>',
            ),
        );
        self::assertSame(
            ['ns1.wire.example', ['ok'], ['2001:db8::7'], 'skerry'],
            [$host->host, $host->statuses, $host->addresses, $host->sponsor],
        );
        $contact = ContactData::of(
            $this->answer(
                '<resData><contact:infData '
                    .'xmlns:contact="urn:ietf:params:xml:ns:contact-1.0"><contact:id>H-1</contact:id><contact:roid>2-R</contact:roid>'
                    .'<contact:status s="linked"/><contact:postalInfo type="int"><contact:name>John '
                    .'Doe</contact:name><contact:addr><contact:city>Wickerby '
                    .'Sound</contact:city><contact:cc>GB</contact:cc></contact:addr></contact:postalInfo><contact:voice/>'
                    .'<contact:email>a@wire.example</contact:email></contact:infData></resData>',
            ),
        );
        self::assertSame(
            ['H-1', null, [], 'GB'],
            [$contact->handle, $contact->voice, $contact->postal[0]->street, $contact->postal[0]->country],
        );
    }

    public function test_an_answer_without_the_object_that_was_asked_for_is_refused(): void
    {
        $this->expectException(EppError::class);
        $this->expectExceptionMessage('no <domain:infData>');
        DomainData::of($this->answer(''));
    }

    /** RFC 5730 §3: 2400 and 2502 are the server's own trouble, 1500 and 25xx end the session, 1001 is a success that is not over. */
    #[TestWith([EppCode::Pending, true, false, false])]
    #[TestWith([EppCode::Ending, true, true, false])]
    #[TestWith([EppCode::Failed, false, false, true])]
    #[TestWith([EppCode::SessionLimit, false, true, true])]
    #[TestWith([EppCode::AuthenticationClosing, false, true, false])]
    #[TestWith([EppCode::StatusProhibits, false, false, false])]
    public function test_what_a_code_means_for_the_session(EppCode $code, bool $isSuccess, bool $ends, bool $isServers): void
    {
        self::assertSame([$isSuccess, $ends, $isServers], [$code->isSuccess(), $code->endsSession(), $code->isServers()]);
    }

    /** RFC 5730 §3: 1500 and the 25xx close the connection. */
    #[TestWith([1500, true])]
    #[TestWith([2500, true])]
    #[TestWith([2502, true])]
    #[TestWith([2400, false])]
    #[TestWith([1000, false])]
    public function test_what_closes_the_connection(int $code, bool $ends): void
    {
        self::assertSame($ends, EppCode::from($code)->endsSession());
    }

    public function test_an_update_changes_what_is_said_and_nothing_else(): void
    {
        $frame = fn (DomainUpdate $update): string => EppFrame::command($update, 'ABC-1');
        self::assertStringNotContainsString('domain:chg', $frame(new DomainUpdate('bell.com', new DomainChange(['ns1.a.example']))));
        self::assertStringContainsString(
            '<domain:chg><domain:registrant>R-1</domain:registrant></domain:chg>',
            $frame(new DomainUpdate('bell.com', registrant: 'R-1')),
        );
        self::assertStringNotContainsString('domain:registrant', $frame(new DomainUpdate('bell.com', code: '2fooBAR')));
        self::assertMatchesRegularExpression(
            '~<domain:chg ?/>|<domain:chg></domain:chg>~',
            $frame(new DomainUpdate('bell.com', restore: true)),
        );
        $this->expectException(LogicException::class);
        new Transfer(EppObject::Host, TransferStep::Request, 'ns1.a.example');
    }

    /** RFC 5730 §5, XML 1.0 §4.3.3 */
    #[TestWith(['UTF-16BE', "\xFE\xFF", ' encoding="UTF-16"'])]
    #[TestWith(['UTF-16LE', "\xFF\xFE", " encoding='utf-16'"])]
    #[TestWith(['UTF-16LE', "\xFF\xFE", ''])]
    public function test_utf_16_is_read_as_well(string $encoding, string $mark, string $said): void
    {
        $document = "<?xml version=\"1.0\"{$said}?>\n<epp xmlns=\"urn:ietf:params:xml:ns:epp-1.0\"><greeting><svID>Glöckchen "
            .'🔔</svID></greeting></epp>';
        $read = (new EppFraming())->feed(EppFraming::pack($mark.mb_convert_encoding($document, $encoding, 'UTF-8')));
        self::assertSame(
            'Glöckchen 🔔',
            XmlNode::read($read[0] ?? '', EppFraming::LIMIT)
                ->all()[0]
                ->textOf('urn:ietf:params:xml:ns:epp-1.0', 'svID'),
        );
    }

    #[TestWith(["\xFE\xFF\x00<\x00"], 'half a unit')]
    #[TestWith(["\xFE\xFF\xD8\x00\x00<"], 'half a pair')]
    #[TestWith(
        [
            "\xFF\xFE<\x00?\x00x\x00m\x00l\x00 "
                ."\x00e\x00n\x00c\x00o\x00d\x00i\x00n\x00g\x00=\x00'\x00u\x00t\x00f\x00-\x008\x00'\x00?\x00>\x00<\x00a\x00/\x00>\x00",
        ],
        'called UTF-8',
    )]
    public function test_what_is_no_utf_16_is_refused(string $document): void
    {
        $this->expectException(XmlError::class);
        XmlNode::read((new EppFraming())->feed(EppFraming::pack($document))[0] ?? '', EppFraming::LIMIT);
    }
}
