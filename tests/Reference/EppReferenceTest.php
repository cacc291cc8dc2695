<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Epp\Command\AccountInfo;
use Acre\Wire\Epp\Command\AccountUpdate;
use Acre\Wire\Epp\Command\AgreedFee;
use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\ContactCreate;
use Acre\Wire\Epp\Command\ContactInfo;
use Acre\Wire\Epp\Command\ContactUpdate;
use Acre\Wire\Epp\Command\Delete;
use Acre\Wire\Epp\Command\Disclose;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainCreate;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Command\DomainRenew;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\FeeCheck;
use Acre\Wire\Epp\Command\HostAddresses;
use Acre\Wire\Epp\Command\HostCreate;
use Acre\Wire\Epp\Command\HostInfo;
use Acre\Wire\Epp\Command\HostUpdate;
use Acre\Wire\Epp\Command\KeyChange;
use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Logout;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\Availability;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\Data\Fees;
use Acre\Wire\Epp\Data\HostData;
use Acre\Wire\Epp\Data\NewEnd;
use Acre\Wire\Epp\Data\PendingAction;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\Data\TransferData;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;
use DOMAttr;
use DOMDocument;
use DOMElement;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Standin\Gatehouse;

/** EPP held against the published texts: their schemas, their result codes, their own frames. */
#[Group('published')]
final class EppReferenceTest extends TestCase
{
    private static EppSchemas $schemas;

    public static function setUpBeforeClass(): void
    {
        self::$schemas = new EppSchemas;
    }

    public static function tearDownAfterClass(): void
    {
        self::$schemas->tearDown();
    }

    /** @return list<EppCommand> every command that we can send, as the examples of the RFCs have it where they have one */
    private static function commands(): array
    {
        $objects = [EppNamespace::Domain->value, EppNamespace::Contact->value];
        $postal = new PostalInfo(false, 'John Doe', 'Example Inc.', ['123 Example Dr.', 'Suite 100'], 'Dulles', 'VA', '20166-6503', 'US');
        $key = fn (int $tag, string $digest): SigningKey => new SigningKey($tag, 3, 1, $digest);

        return [
            new Login('ClientX', 'foo-BAR2', $objects, [EppNamespace::Grace->value, EppNamespace::SecDns->value], 'bar-FOO2'), new Logout, Poll::next(), Poll::kept('12345'),
            new Check(EppObject::Domain, ['example.com', 'example.net', 'example.org']), new DomainInfo('example.com'), new DomainInfo('example.com', '2fooBAR'),
            new DomainCreate('example.com', 2, ['ns1.example.net', 'ns2.example.net'], 'jd1234', ['admin' => 'sh8013', 'tech' => 'sh8013'], '2fooBAR'),
            new DomainRenew('example.com', new DateTimeImmutable('2000-04-03T00:00:00Z'), 5), new Delete(EppObject::Domain, 'example.com'),
            new Transfer(EppObject::Domain, TransferStep::Request, 'example.com', '2fooBAR', 1), new Transfer(EppObject::Domain, TransferStep::Query, 'example.com'), new Transfer(EppObject::Domain, TransferStep::Approve, 'example.com', '2fooBAR'),
            new DomainUpdate('example.com', new DomainChange(['ns2.example.com'], ['clientHold'], ['tech' => 'mak21']), new DomainChange(['ns1.example.com'], ['clientUpdateProhibited'], ['tech' => 'sh8013']), 'sh8013', '2BARfoo'),
            new DomainUpdate('example.com', restore: true),
            new Check(EppObject::Host, ['ns1.example.com', 'ns2.example.com', 'ns3.example.com']), new HostInfo('ns1.example.com'), new Delete(EppObject::Host, 'ns1.example.com'),
            new HostCreate('ns1.example.com', new HostAddresses(['192.0.2.2', '192.0.2.29', '1080:0:0:0:8:800:200C:417A'])),
            new HostUpdate('ns1.example.com', new HostAddresses(['192.0.2.22']), new HostAddresses(['1080:0:0:0:8:800:200C:417A']), 'ns2.example.com'),
            new Check(EppObject::Contact, ['sh8013', 'sah8013', '8013sah']), new ContactInfo('sh8013', '2fooBAR'), new Delete(EppObject::Contact, 'sh8013'),
            new ContactCreate('sh8013', [$postal, new PostalInfo(true, 'Jöhn Doe', null, ['Straße 1'], 'Würzburg', null, null, 'DE')], '+1.7035555555', 'jdoe@example.com', '2fooBAR'),
            new ContactUpdate('sh8013', [$postal], '+1.7034444444', 'other@example.com', new Disclose(true, ['voice', 'email'])),
            new ContactCreate('sh8013', [$postal], '+1.7035555555', 'jdoe@example.com', '2fooBAR', new Disclose(false, ['email', 'org', 'name', 'addr'])),
            new Transfer(EppObject::Contact, TransferStep::Request, 'sh8013', '2fooBAR'), new Transfer(EppObject::Contact, TransferStep::Query, 'sh8013', '2fooBAR'), new Transfer(EppObject::Contact, TransferStep::Reject, 'sh8013'),
            // RFC 5910
            new DomainUpdate('example.com', keys: new KeyChange([$key(12346, '38EC35D5B3A34B44C39B')], [$key(12345, '38EC35D5B3A34B33C99B')])), new DomainUpdate('example.com', keys: new KeyChange(remove: [$key(12346, '38EC35D5B3A34B44C39B')])),
            new DomainUpdate('example.com', keys: new KeyChange([$key(12346, '38EC35D5B3A34B44C39B')], removeAll: true)), self::create('example.com', [$key(12345, '49FD46E6C4B45C55D4AC')]),
            // RFC 8748
            new FeeCheck(['example.com', 'example.net', 'example.xyz'], ['create' => 2, 'renew' => null, 'transfer' => null, 'restore' => null], 'USD'), self::create('example.net', [], new AgreedFee('5.00', 'USD')),
            new DomainRenew('example.com', new DateTimeImmutable('2019-04-03T00:00:00Z'), 5, new AgreedFee('5.00', 'USD')), new Transfer(EppObject::Domain, TransferStep::Request, 'example.com', '2fooBAR', 1, new AgreedFee('5.00', 'USD')),
        ];
    }

    /** @param  list<SigningKey>  $keys */
    private static function create(string $place, array $keys, ?AgreedFee $fee = null): DomainCreate
    {
        return new DomainCreate('example.com', 2, ["ns1.{$place}", "ns2.{$place}"], 'jd1234', ['admin' => 'sh8013', 'tech' => 'sh8013'], '2fooBAR', $keys, $fee);
    }

    /** Source: the formal syntax of RFC 5730 §4, 5731 §4, 3915 §5 (their schemas, cut out of the texts). */
    public function test_every_command_passes_the_schemas(): void
    {
        foreach (self::commands() as $command) {
            $this->assertValid(EppFrame::command($command, 'ABC-12345'));
        }
        $this->assertValid(EppFrame::hello());
    }

    /** Source: RFC 5730 §4, pwType. Blanks at the ends and runs of them the schema takes for one (XML Schema 2 §4.3.6), and whoever compares passwords may not: we don't take them. */
    public function test_a_password_that_we_take_is_one_of_the_schemas(): void
    {
        foreach (['12345' => false, '123456' => true, 'sixteen letters!' => true, 'seventeen letters' => false, 'ünïcödé' => true, '<&">]]' => true, '' => false] as $password => $isTaken) {
            self::assertSame($isTaken, preg_match(Login::PASSWORD, (string) $password) === 1, (string) $password);
            self::assertSame($isTaken, self::$schemas->complaint(EppFrame::command(new Login('ClientX', (string) $password, [EppNamespace::Domain->value]), 'ABC-1')) === null, (string) $password);
        }
        self::assertSame([0, 0, 0], [preg_match(Login::PASSWORD, ' blanks'), preg_match(Login::PASSWORD, 'two  blanks'), preg_match(Login::PASSWORD, "line\nbreak")]);
    }

    /** The check itself: a frame with one word wrong does not pass. */
    public function test_the_schemas_refuse_what_is_wrong(): void
    {
        self::assertNotNull(self::$schemas->complaint(str_replace('curExpDate', 'curEndDate', EppFrame::command(self::commands()[8], 'ABC-12345'))));
    }

    /** Source: the clients' frames of RFC 5731, 5732 and 5733, §3 of each, RFC 5910 §5.2 and RFC 8748 §5: many of ours are theirs word for word. */
    public function test_commands_are_the_examples_of_the_rfcs(): void
    {
        $ours = array_map(fn (EppCommand $command): string => self::plain(EppFrame::command($command, 'ABC-12345')), self::commands());
        foreach ([5731 => 4, 5732 => 4, 5733 => 5, 5910 => 2, 8748 => 3] as $rfc => $atLeast) {
            $theirs = array_map(self::plain(...), Published::frames($rfc, 'C'));
            self::assertGreaterThanOrEqual($atLeast, count(array_intersect($ours, $theirs)), "RFC {$rfc}");
        }
    }

    /** Source: the server's frames of RFC 5730, 5731, 3915 and 5910. */
    public function test_the_servers_examples_are_read(): void
    {
        $read = ['infData' => 0, 'chkData' => 0, 'trnData' => 0, 'renData' => 0, 'creData' => 0];
        foreach ([5730, 5731, 3915, 5910] as $rfc) {
            foreach (Published::frames($rfc, 'S') as $frame) {
                $answer = EppFrame::read(trim($frame));
                if (! $answer instanceof EppResponse) {
                    continue;
                }
                foreach (array_keys($read) as $name) {
                    if ($answer->objectOrNull(EppNamespace::Domain, $name) !== null) {
                        $what = match ($name) {
                            'infData' => DomainData::of($answer)->name,
                            'chkData' => (string) array_key_first(Availability::allOf($answer, EppObject::Domain)),
                            'trnData' => TransferData::of($answer)->key,
                            default => NewEnd::of($answer)->name,
                        };
                        self::assertStringContainsString('example', $what);
                        $read[$name]++;
                    }
                }
            }
        }
        self::assertGreaterThanOrEqual(3, $read['infData']);
        self::assertNotContains(0, $read);
    }

    /** Source: RFC 5732 §3.1 and RFC 5733 §3.1, their answers to check and info. */
    public function test_the_examples_of_hosts_and_contacts_mean_what_they_say(): void
    {
        $checked = Availability::allOf($this->answer(5732, 'chkData'), EppObject::Host);
        self::assertSame([true, false, 'In use'], [$checked['ns1.example.com']->isFree, $checked['ns2.example2.com']->isFree, $checked['ns2.example2.com']->reason]);
        $host = HostData::of($this->answer(5732, 'infData'));
        self::assertSame(['ns1.example.com', ['linked', 'clientUpdateProhibited'], ['192.0.2.2', '192.0.2.29', '1080:0:0:0:8:800:200C:417A'], 'ClientY'], [$host->host, $host->statuses, $host->addresses, $host->sponsor]);
        $contact = ContactData::of($this->answer(5733, 'infData'));
        self::assertSame(['sh8013', '+1.7035555555x1234', 'jdoe@example.com'], [$contact->handle, $contact->voice, $contact->mailbox]);
        self::assertEquals(new PostalInfo(false, 'John Doe', 'Example Inc.', ['123 Example Dr.', 'Suite 100'], 'Dulles', 'VA', '20166-6503', 'US'), $contact->postal[0]);
    }

    /** Source: RFC 8748 §5.1.1 and §5.2, their answers. */
    public function test_the_examples_of_fees_mean_what_they_say(): void
    {
        $fees = Fees::allOf($this->answer(8748, 'fee:chkData'));
        self::assertSame([['10.00'], 'USD', 'Premium', false], [$fees['example.com']['create']->fees, $fees['example.com']['create']->currency, $fees['example.com']['create']->class, $fees['example.com']['create']->isStandard]);
        self::assertSame([['5.00'], true, ['15.00']], [$fees['example.net']['renew']->fees, $fees['example.net']['renew']->isStandard, $fees['example.com']['restore']->fees]);
        self::assertSame([[], 1], [$fees['example.xyz']['create']->fees, preg_match('/^Only 1 year/', (string) $fees['example.xyz']['create']->reason)]);
        $charged = Fees::charged($this->answer(8748, 'fee:creData'));
        self::assertSame([['5.00'], '-5.00'], [$charged?->fees, $charged?->balance]);
        $credited = Fees::charged($this->answer(8748, 'fee:delData'));
        self::assertSame(['-5.00'], $credited?->credits);
    }

    /** Source: RFC 5731 and 5733, §3.3 of each. */
    public function test_the_examples_of_what_was_put_off_mean_what_they_say(): void
    {
        $name = PendingAction::of($this->answer(5731, 'panData'));
        self::assertSame(['example.com', true, 'ABC-12345', '54321-XYZ', '1999-04-04'], [$name?->key, $name?->isDone, $name?->client, $name?->server, $name?->at?->format('Y-m-d')]);
        self::assertSame('sh8013', PendingAction::of($this->answer(5733, 'panData'))?->key);
        $contact = TransferData::of($this->answer(5733, 'trnData'), EppObject::Contact);
        self::assertSame(['sh8013', 'ClientX', 'ClientY'], [$contact->key, $contact->asker, $contact->actor]);
    }

    private function answer(int $rfc, string $data): EppResponse
    {
        foreach (Published::frames($rfc, 'S') as $frame) {
            $answer = str_contains($frame, $data) ? EppFrame::read(trim($frame)) : null;
            if ($answer instanceof EppResponse) {
                return $answer;
            }
        }
        self::fail("RFC {$rfc} has no example of {$data}.");
    }

    /** Source: RFC 5731 §3.1.2, its whole answer. */
    public function test_the_example_of_an_info_means_what_it_says(): void
    {
        $whole = array_values(array_filter(Published::frames(5731, 'S'), fn (string $frame): bool => str_contains($frame, 'infData') && str_contains($frame, '<domain:pw>')));
        $answer = EppFrame::read(trim($whole[0] ?? ''));
        self::assertInstanceOf(EppResponse::class, $answer);
        $data = DomainData::of($answer);
        self::assertSame(['example.com', 'EXAMPLE1-REP', ['ok'], 'jd1234', 'ClientX', '2fooBAR'], [$data->name, $data->roid, $data->statuses, $data->registrant, $data->sponsor, $data->code]);
        self::assertSame([['ns1.example.com', 'ns1.example.net'], ['ns1.example.com', 'ns2.example.com']], [$data->servers, $data->hosts]);
        self::assertSame(['1999-04-03', '2005-04-03', '2000-04-08'], [$data->created?->format('Y-m-d'), $data->ends?->format('Y-m-d'), $data->moved?->format('Y-m-d')]);
    }

    /** Source: RFC 5730 §3, every code and none beside. */
    public function test_the_result_codes_are_those_of_rfc_5730(): void
    {
        preg_match_all('/^ {3,6}([12]\d{3}) {4}"/m', Published::whole(5730), $found);
        $codes = array_map(intval(...), array_unique($found[1]));
        sort($codes);
        self::assertSame($codes, array_column(EppCode::cases(), 'value'));
    }

    private function assertValid(string $frame): void
    {
        self::assertNull(self::$schemas->complaint($frame), $frame);
    }

    /** Without prologue, blanks between elements, and the names of locations that only tools read. */
    private static function plain(string $frame): string
    {
        $document = new DOMDocument;
        $document->preserveWhiteSpace = false;
        $document->loadXML((string) preg_replace('/\s+xsi:schemaLocation="[^"]*"|\s+xmlns:xsi="[^"]*"/', '', trim($frame)), LIBXML_NONET);

        return (string) preg_replace('/>\s+</', '><', (string) $document->C14N());
    }

    /** Our own extension too, and what the simulated gate answers to it all. */
    public function test_every_frame_of_the_simulated_gate_passes_the_schemas(): void
    {
        $gate = new Gatehouse;
        $talk = $gate->session();
        self::assertNull(self::$schemas->complaint($talk->session->greeting()));
        $talk->login('40718');
        $postal = new PostalInfo(false, 'The Secretary', 'Bell Foundry', ['4 Tenter Lane'], 'Wickerby Sound', 'North Sound', 'WS1 4AB', 'GB');
        $commands = [
            new ContactCreate('BF-1', [$postal], '+44.1632960114', 'a@b.example', 'secret'), new Check(EppObject::Contact, ['BF-1', 'BF-2']), new HostCreate('ns9.a.example', new HostAddresses(['192.0.2.9'])), new Check(EppObject::Host, ['ns9.a.example']),
            new HostInfo('ns9.a.example'), new DomainCreate('new-bell.com', 2, ['ns9.a.example'], 'BF-1', [], 'opensesame'), new ContactInfo('BF-1'), new Check(EppObject::Domain, ['bell.com', 'free-bell.com']), new DomainInfo('bell.com'), new DomainInfo('new-bell.com'),
            new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1), new DomainInfo('poor.com'), new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])), new DomainInfo('nobody.com'),
            AccountUpdate::autoRenew('bell.com', false), AccountUpdate::disclose('bell.com', ['organisation', 'country']), AccountUpdate::disclose('bell.com', []), AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'), new DomainInfo('bell.com'), AccountUpdate::cancelHandover('bell.com'), new AccountInfo('40718'), Poll::next(), Poll::kept('2'),
            new FeeCheck(['bell.com', 'free.com'], ['create' => 1, 'restore' => null]), new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1, new AgreedFee('20.00', 'GBP')), new DomainUpdate('bell.com', keys: new KeyChange([new SigningKey(12346, 13, 2, str_repeat('AB', 32))])),
            new ContactUpdate('BF-1', voice: '+44.1632960115', disclose: new Disclose(false, ['name', 'voice'])), new ContactInfo('BF-1'),
            new Transfer(EppObject::Domain, TransferStep::Query, 'bell.com'), new Delete(EppObject::Domain, 'bell.com'), new DomainInfo('bell.com'), new DomainUpdate('bell.com', restore: true), new Logout,
        ];
        foreach ($commands as $place => $command) {
            self::assertNull(self::$schemas->complaint(EppFrame::command($command, "ABC-{$place}")), EppFrame::command($command, "ABC-{$place}"));
            $talk->say($command);
        }
        foreach ($talk->answers as $answer) {
            self::assertNull(self::$schemas->complaint($answer), $answer);
        }
        $gate->tearDown();
    }

    /**
     * Frames of all our commands with something wrong in them: whatever the schemas refuse the gate refuses, nothing else is an
     * error of syntax (2001), and every answer passes the schemas.
     */
    public function test_the_simulated_gate_refuses_what_the_schemas_refuse(): void
    {
        $random = new Randomizer(new Mt19937(5731));
        $commands = [...self::commands(), AccountUpdate::disclose('bell.com', ['organisation']), AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'), new AccountInfo('40718')];
        $refused = 0;
        for ($run = 0; $run < 1_500; $run++) {
            $command = $commands[$random->getInt(0, count($commands) - 1)];
            $frame = self::spoilt(strtr(EppFrame::command($command, 'ABC-1'), ['example.com' => 'bell.com', 'example.net' => 'poor.com']), $random);
            $gate = new Gatehouse;
            $talk = $gate->session($command instanceof Login ? null : '40718');
            $code = $talk->raw($frame)->code();
            $complaint = self::$schemas->complaint($frame);
            $answer = $talk->answers[count($talk->answers) - 1];
            self::assertNull(self::$schemas->complaint($answer), "{$frame}\n{$answer}");
            if ($complaint !== null) {
                self::assertFalse($code->isSuccess(), "{$complaint}\n{$frame}");
                $refused++;
            } else {
                self::assertNotSame(EppCode::Syntax, $code, "{$frame}\n{$answer}");
            }
            $gate->tearDown();
        }
        self::assertGreaterThan(500, $refused);
    }

    /** Source: the server's frames of all seven RFCs with one thing changed, those that their schemas still pass: what a server may say is read, and its data too. */
    public function test_whatever_a_server_may_say_is_read(): void
    {
        $random = new Randomizer(new Mt19937(5734));
        $frames = array_merge(...array_map(fn (int $rfc): array => array_map(trim(...), Published::frames($rfc, 'S')), [5730, 5731, 5732, 5733, 3915, 5910, 8748]));
        $frames = array_values(array_filter($frames, fn (string $frame): bool => self::$schemas->complaint($frame) === null));
        $read = 0;
        for ($run = 0; $run < 1_500; $run++) {
            $frame = self::spoilt($frames[$random->getInt(0, count($frames) - 1)], $random);
            if (self::$schemas->complaint($frame) !== null) {
                continue;
            }
            $answer = EppFrame::read($frame);
            if ($answer instanceof EppResponse) {
                self::readData($answer);
                $read++;
            }
        }
        self::assertGreaterThan(300, $read);
    }

    private static function readData(EppResponse $answer): void
    {
        Fees::allOf($answer);
        Fees::charged($answer);
        PendingAction::of($answer);
        foreach (EppObject::cases() as $object) {
            $read = [
                'chkData' => fn (): array => Availability::allOf($answer, $object), 'trnData' => fn (): TransferData => TransferData::of($answer, $object), 'creData' => fn (): ?NewEnd => $object === EppObject::Domain ? NewEnd::of($answer) : null, 'renData' => fn (): NewEnd => NewEnd::of($answer),
                'infData' => fn (): DomainData|HostData|ContactData => match ($object) {
                    EppObject::Domain => DomainData::of($answer), EppObject::Host => HostData::of($answer), EppObject::Contact => ContactData::of($answer),
                },
            ];
            foreach ($read as $name => $data) {
                if ($answer->objectOrNull($object->namespace(), $name) !== null) {
                    $data();
                }
            }
        }
    }

    /** A frame with one thing changed: an element gone, twice, elsewhere, another or with another text, an attribute gone or odd. */
    private static function spoilt(string $frame, Randomizer $random): string
    {
        $document = new DOMDocument;
        $document->loadXML($frame);
        $all = iterator_to_array($document->getElementsByTagName('*'), false);
        $element = $all[$random->getInt(1, count($all) - 1)];
        $parent = $element->parentNode;
        $attributes = array_map(fn (DOMAttr $one): string => $one->name, iterator_to_array($element->attributes, false));
        match ($random->getInt(0, 7)) {
            0 => $parent?->removeChild($element),
            1 => $parent?->insertBefore($element->cloneNode(true), $element),
            2 => $element->nextSibling === null ? null : $parent?->insertBefore($element->nextSibling, $element),
            3 => $element->firstElementChild === null ? $element->textContent = ['', 'x', str_repeat('y', 300), '-1', 'é'][$random->getInt(0, 4)] : null,
            4 => $attributes === [] ? null : $element->removeAttribute($attributes[0]),
            5 => $attributes === [] ? null : $element->setAttribute($attributes[0], 'odd'),
            6 => $element->setAttribute('odd', '1'),
            default => $parent?->insertBefore($random->getInt(0, 1) === 0 ? $document->createTextNode('odd') : new DOMElement(ltrim("{$element->prefix}:odd", ':'), '', (string) $element->namespaceURI), $element),
        };

        return (string) $document->saveXML();
    }
}
