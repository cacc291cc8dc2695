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
use Acre\Wire\Epp\Command\KeyChange;
use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Logout;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\RestoreReport;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Standin\Gatehouse;

/** What we send, and what the simulated gate answers, held against the schemas of RFC 5730 to 5733, 5910 and 8748, in every run. */
final class EppSchemaTest extends TestCase
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

    /** Source: the formal syntax of RFC 5730 §4, 5731 §4, 3915 §5 (their schemas, cut out of the texts). */
    public function test_every_command_passes_the_schemas(): void
    {
        foreach (self::commands() as $command) {
            $this->assertValid(EppFrame::command($command, 'ABC-12345'));
        }
        $this->assertValid(EppFrame::hello());
    }

    /**
     * Source: RFC 5730 §4, pwType. Blanks at the ends and runs of them the schema takes for one (XML Schema 2 §4.3.6), and whoever compares
     * passwords may not: we don't take them.
     */
    public function test_a_password_that_we_take_is_one_of_the_schemas(): void
    {
        foreach (
            [
                '12345' => false,
                '123456' => true,
                'sixteen letters!' => true,
                'seventeen letters' => false,
                'ünïcödé' => true,
                '<&">]]' => true,
                '' => false,
            ] as $password => $isTaken
        ) {
            self::assertSame($isTaken, preg_match(Login::PASSWORD, (string) $password) === 1, (string) $password);
            self::assertSame(
                $isTaken,
                self::$schemas->complaint(
                    EppFrame::command(new Login('ClientX', (string) $password, [EppNamespace::Domain->value]), 'ABC-1'),
                ) === null,
                (string) $password,
            );
        }
        self::assertSame(
            [0, 0, 0],
            [
                preg_match(Login::PASSWORD, ' blanks'),
                preg_match(Login::PASSWORD, 'two  blanks'),
                preg_match(Login::PASSWORD, "line\nbreak"),
            ],
        );
    }

    /** The check itself: a frame with one word wrong does not pass. */
    public function test_the_schemas_refuse_what_is_wrong(): void
    {
        self::assertNotNull(
            self::$schemas->complaint(str_replace('curExpDate', 'curEndDate', EppFrame::command(self::commands()[8], 'ABC-12345'))),
        );
    }

    /** Our own extension too, and what the simulated gate answers to it all. */
    public function test_every_frame_of_the_simulated_gate_passes_the_schemas(): void
    {
        $gate = new Gatehouse();
        $talk = $gate->session();
        self::assertNull(self::$schemas->complaint($talk->session->greeting()));
        $talk->login('40718');
        $postal = new PostalInfo(
            false,
            'The Secretary',
            'Bell Foundry',
            ['4 Tenter Lane'],
            'Wickerby Sound',
            'North Sound',
            'WS1 4AB',
            'GB',
        );
        $commands = [
            new ContactCreate('BF-1', [$postal], '+44.1632960114', 'a@b.example', 'secret'),
            new Check(EppObject::Contact, ['BF-1', 'BF-2']),
            new HostCreate('ns9.a.example', new HostAddresses(['192.0.2.9'])),
            new Check(EppObject::Host, ['ns9.a.example']),
            new HostInfo('ns9.a.example'),
            new DomainCreate('new-bell.com', 2, ['ns9.a.example'], 'BF-1', [], 'opensesame'),
            new ContactInfo('BF-1'),
            new Check(EppObject::Domain, ['bell.com', 'free-bell.com']),
            new DomainInfo('bell.com'),
            new DomainInfo('new-bell.com'),
            new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1),
            new DomainInfo('poor.com'),
            new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])),
            new DomainInfo('nobody.com'),
            AccountUpdate::autoRenew('bell.com', false),
            AccountUpdate::disclose('bell.com', ['organisation', 'country']),
            AccountUpdate::disclose('bell.com', []),
            AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'),
            new DomainInfo('bell.com'),
            AccountUpdate::cancelHandover('bell.com'),
            new AccountInfo('40718'),
            new AccountInfo('40718', ''),
            new AccountInfo('40718', '1'),
            Poll::next(),
            Poll::next(),
            Poll::kept('2'),
            new FeeCheck(['bell.com', 'free.com'], ['create' => 1, 'restore' => null]),
            new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1, new AgreedFee('20.00', 'GBP')),
            new DomainUpdate('bell.com', keys: new KeyChange([new SigningKey(12346, 13, 2, str_repeat('AB', 32))])),
            new ContactUpdate('BF-1', voice: '+44.1632960115', disclose: new Disclose(false, ['name', 'voice'])),
            new ContactInfo('BF-1'),
            new Transfer(EppObject::Domain, TransferStep::Query, 'bell.com'),
            new Delete(EppObject::Domain, 'bell.com'),
            new DomainInfo('bell.com'),
            new DomainUpdate('bell.com', restore: true),
            new RestoreReport('bell.com', 'as it was', 'as it is', new DateTimeImmutable(), new DateTimeImmutable(), 'Registrant error.'),
            new AccountInfo('40718', '0'),
            Poll::next(),
            new Logout(),
        ];
        foreach ($commands as $place => $command) {
            self::assertNull(
                self::$schemas->complaint(EppFrame::command($command, "ABC-{$place}")),
                EppFrame::command($command, "ABC-{$place}"),
            );
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
        $commands = [
            ...self::commands(),
            AccountUpdate::disclose('bell.com', ['organisation']),
            AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'),
            new AccountInfo('40718'),
            new AccountInfo('40718', '7'),
        ];
        $refused = 0;
        for ($run = 0; $run < 500; $run++) {
            $command = $commands[$random->getInt(0, count($commands) - 1)];
            $frame = self::spoilt(
                strtr(EppFrame::command($command, 'ABC-1'), ['example.com' => 'bell.com', 'example.net' => 'poor.com']),
                $random,
            );
            $gate = new Gatehouse();
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
        self::assertGreaterThan(160, $refused);
    }

    private function assertValid(string $frame): void
    {
        self::assertNull(self::$schemas->complaint($frame), $frame);
    }
}
