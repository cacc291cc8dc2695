<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Gate;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a gate may say besides what is expected (RFC 5730, RFC 5734), from one that says what it is told to, over a real socket. */
final class GateTalkTest extends TestCase
{
    use Scripted;

    private const HOST = 'epp.skerry.example';

    private const EPP = '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0">';

    /** @param  list<string>  $objects */
    private static function greeting(
        array $objects = ['urn:ietf:params:xml:ns:domain-1.0', 'urn:other'],
        string $extension = 'urn:ietf:params:xml:ns:rgp-1.0',
    ): string {
        return self::EPP.
            '<greeting><svID>A gate</svID><svDate>2026-10-06T09:00:00.0Z</svDate><svcMenu><version>1.0</version><lang>en</lang>'.
            implode('', array_map(fn (string $uri): string => "<objURI>{$uri}</objURI>", $objects)).
            "<svcExtension><extURI>{$extension}</extURI></svcExtension></svcMenu><dcp><access><all/></access><statement><purpose><prov/>"
                .'</purpose><recipient><ours/></recipient><retention><stated/></retention></statement></dcp></greeting></epp>';
    }

    private static function answer(int $code = 1000, string $client = '{client}', string $words = 'Said'): string
    {
        return self::EPP.
            "<response><result code=\"{$code}\"><msg>{$words}</msg></result><trID>"
                ."<clTRID>{$client}</clTRID><svTRID>S-1</svTRID></trID></response></epp>";
    }

    /**
     * @param  list<list<string>>  $turns  what is sent at once, and then at each frame
     *
     * @throws NotReached
     */
    private function gate(array $turns): Gate
    {
        [$port] = self::ports(1);
        $this->starts('scripted-gate.php', (string) $port, json_encode($turns, JSON_THROW_ON_ERROR));

        return Gate::open(
            new Hosts([self::HOST => "127.0.0.1:{$port}"]),
            self::HOST,
            $port,
            config()->string('outside.authority'),
            1,
            'CLIENT',
            'seven gulls',
        );
    }

    /** @param  callable(): mixed  $do */
    private static function why(callable $do): ?FailureReason
    {
        try {
            $do();
        } catch (NotReached $e) {
            return $e->why;
        }

        return null;
    }

    /** @param  list<string>  ...$turns */
    private function open(array ...$turns): Gate
    {
        return $this->gate([[self::greeting()], [self::answer()], ...array_values($turns)]);
    }

    public function test_an_answer_is_known_by_its_id_and_others_are_passed_over(): void
    {
        $gate = $this->open(
            [self::answer(1000, 'ABC-0'), self::answer(2303, 'ABC-0'), self::answer(1000)],
            [self::answer(1001), self::answer(1001)],
            [self::answer(2201)],
        );
        self::assertSame(EppCode::Done, $gate->command(new DomainInfo('bell.com'), 'ABC-1')->code());
        self::assertSame(EppCode::Pending, $gate->command(new DomainInfo('bell.com'), 'ABC-2')->code());
        self::assertSame(
            EppCode::Authorization,
            $gate->command(new DomainInfo('bell.com'), 'ABC-3')->code(),
            'what came twice is not taken for the next one’s',
        );
        self::assertTrue($gate->isOpen());
    }

    public function test_a_frame_is_read_in_whatever_pieces_it_comes(): void
    {
        $frame = fn (string $document): string => pack('N', strlen($document) + 4).$document;
        $both = $frame(self::answer(1000, 'ABC-1')).$frame(self::answer(1001, 'ABC-2'));
        $gate = $this->open(array_map(fn (string $piece): string => 'bytes '.bin2hex($piece), mb_str_split($both, 37, 'ASCII')), []);
        self::assertSame(EppCode::Done, $gate->command(new DomainInfo('bell.com'), 'ABC-1')->code());
        self::assertSame(EppCode::Pending, $gate->command(new DomainInfo('bell.com'), 'ABC-2')->code(), 'it had come with the first');
    }

    /**
     * After any of these nothing more is asked in that session: an answer that comes late would be taken for another's.
     *
     * @param  list<string>  $said
     */
    #[TestWith([['close'], FailureReason::Silent])]
    #[TestWith([[], FailureReason::Silent])]
    #[TestWith([['<epp>no'], FailureReason::Garbled])]
    #[TestWith([['<other/>'], FailureReason::Garbled])]
    #[TestWith([['bytes 00000002'], FailureReason::Garbled])]
    #[TestWith([['bytes 7f000000'], FailureReason::Garbled])]
    #[TestWith([['bytes 000010003c657070', 'close'], FailureReason::Silent])]
    #[TestWith([
        [
            '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response><result '
                .'code="1999"><msg>Odd</msg></result><trID><clTRID>{client}</clTRID><svTRID>S</svTRID></trID></response></epp>',
        ],
        FailureReason::Garbled,
    ])]
    #[TestWith([['<!DOCTYPE epp [<!ENTITY x "y">]><epp>&x;</epp>'], FailureReason::Garbled])]
    public function test_what_is_no_answer_ends_the_session(array $said, FailureReason $why): void
    {
        $gate = $this->open($said);
        self::assertSame($why, self::why(fn () => $gate->command(new DomainInfo('bell.com'), 'ABC-1')));
        self::assertFalse($gate->isOpen());
        self::assertSame(FailureReason::Silent, self::why(fn () => $gate->command(new DomainInfo('bell.com'), 'ABC-2')));
    }

    public function test_answers_of_others_without_end_are_not_waited_through(): void
    {
        $gate = $this->open(array_fill(0, 20, self::answer(1000, 'ABC-0')));
        self::assertSame(FailureReason::Garbled, self::why(fn () => $gate->command(new DomainInfo('bell.com'), 'ABC-1')));
    }

    /** RFC 5730 §3: with 1500 and 25xx the server closes. */
    #[TestWith([2500])]
    #[TestWith([2501])]
    #[TestWith([2502])]
    public function test_a_session_that_the_server_ends_is_over(int $code): void
    {
        $gate = $this->open([self::answer($code)]);
        self::assertSame($code, $gate->command(new DomainInfo('bell.com'), 'ABC-1')->code()->value);
        self::assertFalse($gate->isOpen());
    }

    /** RFC 5730 §2.3 */
    public function test_a_session_is_kept_by_a_hello(): void
    {
        $gate = $this->open([self::greeting()], [self::answer()], ['close']);
        self::assertSame([true, 0], [$gate->keepAlive(), $gate->idle()]);
        self::assertSame(EppCode::Done, $gate->command(new DomainInfo('bell.com'), 'ABC-1')->code());
        self::assertFalse($gate->keepAlive());
        self::assertFalse($gate->isOpen());
    }

    /** RFC 5730 §2.9.1.1: only what the greeting names is asked for. */
    public function test_a_login_asks_for_what_is_kept_there(): void
    {
        $gate = $this->gate([
            [self::greeting(['urn:ietf:params:xml:ns:domain-1.0', 'urn:other'], EppNamespace::Account->value)],
            [self::answer(words: 'in')],
            [self::answer(1500)],
        ]);
        $gate->end();
        self::assertFalse($gate->isOpen());
        $login = json_decode(explode("\n", (string) $this->server?->getOutput())[1] ?? '');
        self::assertIsString($login);
        self::assertStringContainsString(
            '<clID>CLIENT</clID><pw>seven '
                .'gulls</pw><options><version>1.0</version><lang>en</lang></options><svcs>'
                .'<objURI>urn:ietf:params:xml:ns:domain-1.0</objURI><svcExtension><extURI>'.
                EppNamespace::Account->value.
                '</extURI></svcExtension></svcs>',
            $login,
        );
        self::assertSame(
            FailureReason::Garbled,
            self::why(fn () => $this->gate([[self::greeting(['urn:other'])], [self::answer()]])),
            'who keeps no names is no gate of ours',
        );
    }

    /** @param  list<list<string>>  $turns */
    #[TestWith([[['close']], FailureReason::Silent])]
    #[TestWith([[[]], FailureReason::Silent])]
    #[TestWith([
        [
            [
                '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response><result '
                    .'code="1000"><msg>Hello</msg></result><trID><svTRID>S</svTRID></trID></response></epp>',
            ],
        ],
        FailureReason::Garbled,
    ])]
    public function test_without_a_greeting_nobody_logs_in(array $turns, FailureReason $why): void
    {
        self::assertSame($why, self::why(fn () => $this->gate($turns)));
    }

    public function test_a_login_that_is_refused_says_so(): void
    {
        try {
            $this->gate([[self::greeting()], [self::answer(2200, words: 'Not you')]]);
            self::fail('It is in.');
        } catch (NotReached $e) {
            self::assertSame(FailureReason::Refused, $e->why);
            self::assertStringContainsString('2200. Not you', $e->getMessage());
        }
    }
}
