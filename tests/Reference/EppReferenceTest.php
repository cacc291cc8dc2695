<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\RestoreReport;
use Acre\Wire\Epp\Data\Availability;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\Data\Fees;
use Acre\Wire\Epp\Data\HostData;
use Acre\Wire\Epp\Data\NewEnd;
use Acre\Wire\Epp\Data\PendingAction;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\TransferData;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use DOMDocument;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** EPP held against the published texts: their schemas, their result codes, their own frames. */
#[Group('published')]
final class EppReferenceTest extends TestCase
{
    use EppFrames;

    private static EppSchemas $schemas;

    public static function setUpBeforeClass(): void
    {
        self::$schemas = new EppSchemas();
    }

    public static function tearDownAfterClass(): void
    {
        self::$schemas->tearDown();
    }

    /** The schemas that every run is held against are those of the texts, to the letter. */
    public function test_the_schemas_kept_here_are_the_published_ones(): void
    {
        self::assertSame([], EppSchemas::differing());
    }

    /**
     * Source: the clients' frames of RFC 5731, 5732 and 5733, §3 of each, RFC 5910 §5.2 and RFC 8748 §5: many of ours are theirs word for
     * word.
     */
    public function test_commands_are_the_examples_of_the_rfcs(): void
    {
        $ours = array_map(fn (EppCommand $command): string => self::plain(EppFrame::command($command, 'ABC-12345')), self::commands());
        foreach ([5731 => 4, 5732 => 4, 5733 => 5, 5910 => 2, 8748 => 3] as $rfc => $atLeast) {
            $theirs = array_map(self::plain(...), Published::frames($rfc, 'C'));
            self::assertGreaterThanOrEqual($atLeast, count(array_intersect($ours, $theirs)), "RFC {$rfc}");
        }
    }

    /** Source: RFC 3915 §4.2.5, the request and the report of a restore; what the report says under “other” is optional, and left out. */
    public function test_a_restore_is_as_its_rfc_has_it(): void
    {
        $ours = array_map(
            fn (EppCommand $command): string => self::plain(EppFrame::command($command, 'ABC-12345')),
            array_values(array_filter(
                self::commands(),
                fn (EppCommand $command): bool => $command instanceof DomainUpdate || $command instanceof RestoreReport,
            )),
        );
        $theirs = array_map(
            // Its texts are broken to fit the page.
            fn (string $frame): string => (string) preg_replace(
                '/\s+/',
                ' ',
                self::plain((string) preg_replace('~<rgp:other>.*?</rgp:other>~s', '', $frame)),
            ),
            array_values(array_filter(Published::frames(3915, 'C'), fn (string $frame): bool => str_contains($frame, 'rgp:restore'))),
        );
        self::assertCount(2, array_unique($theirs));
        self::assertSame([], array_diff($theirs, $ours));
    }

    /** Source: the server's frames of RFC 5730, 5731, 3915 and 5910. */
    public function test_the_servers_examples_are_read(): void
    {
        $read = ['infData' => 0, 'chkData' => 0, 'trnData' => 0, 'renData' => 0, 'creData' => 0];
        foreach ([5730, 5731, 3915, 5910] as $rfc) {
            foreach (Published::frames($rfc, 'S') as $frame) {
                $answer = EppFrame::read(trim($frame));
                if (! ($answer instanceof EppResponse)) {
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
        self::assertSame(
            [true, false, 'In use'],
            [$checked['ns1.example.com']->isFree, $checked['ns2.example2.com']->isFree, $checked['ns2.example2.com']->reason],
        );
        $host = HostData::of($this->answer(5732, 'infData'));
        self::assertSame(
            ['ns1.example.com', ['linked', 'clientUpdateProhibited'], ['192.0.2.2', '192.0.2.29', '1080:0:0:0:8:800:200C:417A'], 'ClientY'],
            [$host->host, $host->statuses, $host->addresses, $host->sponsor],
        );
        $contact = ContactData::of($this->answer(5733, 'infData'));
        self::assertSame(['sh8013', '+1.7035555555x1234', 'jdoe@example.com'], [$contact->handle, $contact->voice, $contact->mailbox]);
        self::assertEquals(
            new PostalInfo(false, 'John Doe', 'Example Inc.', ['123 Example Dr.', 'Suite 100'], 'Dulles', 'VA', '20166-6503', 'US'),
            $contact->postal[0],
        );
    }

    /** Source: RFC 8748 §5.1.1 and §5.2, their answers. */
    public function test_the_examples_of_fees_mean_what_they_say(): void
    {
        $fees = Fees::allOf($this->answer(8748, 'fee:chkData'));
        self::assertSame(
            [['10.00'], 'USD', 'Premium', false],
            [
                $fees['example.com']['create']->fees,
                $fees['example.com']['create']->currency,
                $fees['example.com']['create']->class,
                $fees['example.com']['create']->isStandard,
            ],
        );
        self::assertSame(
            [['5.00'], true, ['15.00']],
            [$fees['example.net']['renew']->fees, $fees['example.net']['renew']->isStandard, $fees['example.com']['restore']->fees],
        );
        self::assertSame(
            [[], 1],
            [$fees['example.xyz']['create']->fees, preg_match('/^Only 1 year/', (string) $fees['example.xyz']['create']->reason)],
        );
        $charged = Fees::charged($this->answer(8748, 'fee:creData'));
        self::assertSame([['5.00'], '-5.00'], [$charged?->fees, $charged?->balance]);
        $credited = Fees::charged($this->answer(8748, 'fee:delData'));
        self::assertSame(['-5.00'], $credited?->credits);
    }

    /** Source: RFC 5731 and 5733, §3.3 of each. */
    public function test_the_examples_of_what_was_put_off_mean_what_they_say(): void
    {
        $name = PendingAction::of($this->answer(5731, 'panData'));
        self::assertSame(
            ['example.com', true, 'ABC-12345', '54321-XYZ', '1999-04-04'],
            [$name?->key, $name?->isDone, $name?->client, $name?->server, $name?->at?->format('Y-m-d')],
        );
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
        $whole = array_values(
            array_filter(
                Published::frames(5731, 'S'),
                fn (string $frame): bool => str_contains($frame, 'infData') && str_contains($frame, '<domain:pw>'),
            ),
        );
        $answer = EppFrame::read(trim($whole[0] ?? ''));
        self::assertInstanceOf(EppResponse::class, $answer);
        $data = DomainData::of($answer);
        self::assertSame(
            ['example.com', 'EXAMPLE1-REP', ['ok'], 'jd1234', 'ClientX', '2fooBAR'],
            [$data->name, $data->roid, $data->statuses, $data->registrant, $data->sponsor, $data->code],
        );
        self::assertSame([['ns1.example.com', 'ns1.example.net'], ['ns1.example.com', 'ns2.example.com']], [$data->servers, $data->hosts]);
        self::assertSame(
            ['1999-04-03', '2005-04-03', '2000-04-08'],
            [$data->created?->format('Y-m-d'), $data->ends?->format('Y-m-d'), $data->moved?->format('Y-m-d')],
        );
    }

    /** Source: RFC 5730 §3, every code and none beside. */
    public function test_the_result_codes_are_those_of_rfc_5730(): void
    {
        preg_match_all('/^ {3,6}([12]\d{3}) {4}"/m', Published::whole(5730), $found);
        $codes = array_map(intval(...), array_unique($found[1]));
        sort($codes);
        self::assertSame($codes, array_column(EppCode::cases(), 'value'));
    }

    /** Without prologue, blanks between elements, and the names of locations that only tools read. */
    private static function plain(string $frame): string
    {
        $document = new DOMDocument();
        $document->preserveWhiteSpace = false;
        $document->loadXML((string) preg_replace('/\s+xsi:schemaLocation="[^"]*"|\s+xmlns:xsi="[^"]*"/', '', trim($frame)), LIBXML_NONET);

        return (string) preg_replace('/>\s+</', '><', (string) $document->C14N());
    }

    /**
     * Source: the server's frames of all seven RFCs with one thing changed, those that their schemas still pass: what a server may say is
     * read, and its data too.
     */
    public function test_whatever_a_server_may_say_is_read(): void
    {
        $random = new Randomizer(new Mt19937(5734));
        $frames = array_merge(
            ...array_map(fn (int $rfc): array => array_map(trim(...), Published::frames($rfc, 'S')), [
                5730,
                5731,
                5732,
                5733,
                3915,
                5910,
                8748,
            ]),
        );
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
                'chkData' => fn (): array => Availability::allOf($answer, $object),
                'trnData' => fn (): TransferData => TransferData::of($answer, $object),
                'creData' => fn (): ?NewEnd => $object === EppObject::Domain ? NewEnd::of($answer) : null,
                'renData' => fn (): NewEnd => NewEnd::of($answer),
                'infData' => fn (): DomainData|HostData|ContactData => match ($object) {
                    EppObject::Domain => DomainData::of($answer),
                    EppObject::Host => HostData::of($answer),
                    EppObject::Contact => ContactData::of($answer),
                },
            ];
            foreach ($read as $name => $data) {
                if ($answer->objectOrNull($object->namespace(), $name) !== null) {
                    $data();
                }
            }
        }
    }
}
