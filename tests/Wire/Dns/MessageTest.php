<?php

declare(strict_types=1);

namespace Tests\Wire\Dns;

use Acre\Wire\Dns\Data\A;
use Acre\Wire\Dns\Data\Host;
use Acre\Wire\Dns\Data\Txt;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MessageTest extends TestCase
{
    public function test_a_question_in_bytes(): void
    {
        $asked = Message::ask(0x1234, new Question(Name::of('bel.example'), RecordType::NS->value), new Edns(1232, true));
        self::assertSame(
            '12340000000100000000000103'.bin2hex('bel').'07'.bin2hex('example').'0000020001'.'00002904d0000080000000',
            bin2hex($asked->octets()),
        );
        self::assertEquals($asked, Message::read($asked->octets()));
    }

    public function test_each_flag_stands_in_its_own_bit(): void
    {
        $flags = ['isAnswer' => 0x8000, 'isAuthoritative' => 0x0400, 'isTruncated' => 0x0200, 'wantsRecursion' => 0x0100];
        $flags += ['offersRecursion' => 0x0080, 'isAuthentic' => 0x0020, 'checkingDisabled' => 0x0010];
        foreach ($flags as $flag => $bit) {
            $message = new Message(...['id' => 1, 'questions' => [], $flag => true]);
            self::assertSame(bin2hex(pack('n', $bit)), substr(bin2hex($message->octets()), 4, 4), $flag);
            self::assertEquals($message, Message::read($message->octets()));
        }
        $message = new Message(1, [], opcode: 5, code: ResponseCode::REFUSED);
        self::assertSame('2805', substr(bin2hex($message->octets()), 4, 4));
        self::assertEquals($message, Message::read($message->octets()));
    }

    /** Codes above 15 need EDNS (RFC 6891 §6.1.3): 16 is BADVERS. */
    public function test_codes_of_twelve_bits(): void
    {
        $read = Message::read((new Message(1, [], true, 16, edns: new Edns()))->octets());
        self::assertSame(16, $read->code);
        self::assertSame(1, $read->edns?->extendedCode);
    }

    public function test_names_point_at_those_before_them(): void
    {
        $bel = Name::of('bel.example');
        $records = array_map(
            fn (string $host): Record => new Record($bel, RecordType::NS->value, 300, new Host(Name::of($host))),
            ['ns1.bel.example', 'NS2.Bel.example'],
        );
        $message = new Message(1, [], true, answers: $records);
        // 12 + (13 + 10 + 6) + (2 + 10 + 6): each server is a label and a pointer.
        self::assertSame(12 + 29 + 18, strlen($message->octets()));
        self::assertSame(['ns1.bel.example', 'ns2.bel.example'], array_map(
            fn (Record $record): string => $record->data instanceof Host ? $record->data->host->host() : '',
            Message::read($message->octets())->answers,
        ));
    }

    /** Additional records go first and without a word, then all, with the mark (RFC 2181 §9). */
    public function test_what_does_not_fit(): void
    {
        $name = Name::of('bel.example');
        $texts = array_fill(0, 3, new Record($name, RecordType::TXT->value, 1, Txt::of(str_repeat('x', 100))));
        $message = new Message(1, [], true, answers: $texts, additional: $texts, isAuthoritative: true);
        $fits = Message::read($message->octets(500));
        self::assertSame([3, 0, false], [count($fits->answers), count($fits->additional), $fits->isTruncated]);
        $cut = Message::read($message->octets(200));
        self::assertSame([0, 0, true], [count($cut->answers), count($cut->additional), $cut->isTruncated]);
        $this->expectException(DnsError::class);
        $message->octets(11);
    }

    /** A referral without the addresses it needs is cut (RFC 9471). */
    public function test_a_referral_loses_no_glue_without_a_word(): void
    {
        $glue = array_fill(0, 40, new Record(Name::of('ns.bel.example'), 1, 1, A::of('192.0.2.1')));
        $servers = [new Record(Name::of('bel.example'), 2, 1, new Host(Name::of('ns.bel.example')))];
        $cut = Message::read((new Message(1, [], true, authority: $servers, additional: $glue))->octets(512));
        self::assertTrue($cut->isTruncated);
        self::assertCount(1, $cut->authority);
    }

    #[TestWith(['0001800000000001000000000000', 'promises'], 'more records than bytes')]
    #[TestWith(['000180000001000000000000c00c00010001', 'pointer'], 'a name that points at itself')]
    #[TestWith(['000180000001000000000000016100c00c', 'ends'], 'no type')]
    #[TestWith(['000180000001000000000000c0ff00010001', 'pointer'], 'a pointer to behind')]
    #[TestWith(['000180000001000000000000800000010001', 'kind'], 'a label of bits 10')]
    #[TestWith(['0001800000000000000000010000010001000000000003c0000201', 'ends|length|longer'], 'an address of three bytes')]
    #[TestWith(['0001800000000000000000010000010001000000000005c000020101', 'length'], 'an address of five bytes')]
    #[TestWith(['00018000000000000000000200002904d000000000000000002904d0000000000000', 'OPT'], 'two OPT records')]
    #[TestWith(['', 'ends'], 'nothing')]
    public function test_what_is_no_message(string $hex, string $why): void
    {
        $this->expectException(DnsError::class);
        $this->expectExceptionMessageMatches("/{$why}/");
        Message::read((string) hex2bin($hex));
    }

    /** A name has at most 127 labels, so that more pointers than that serve only to waste time. */
    public function test_chains_of_pointers_end(): void
    {
        foreach ([127 => true, 128 => false] as $pointers => $isRead) {
            // The data of the first record is a chain; its name is the chain's end.
            $bytes = pack('n6', 1, 0x8000, 0, 2, 0, 0)."\0".pack('nnNn', 65_280, 1, 0, 1 + 2 * $pointers)."\0";
            $end = strlen($bytes) - 1;
            for ($count = 0; $count < $pointers; $count++) {
                $bytes .= pack('n', 0xC000 | $end);
                $end = strlen($bytes) - 2;
            }
            $bytes .= pack('n', 0xC000 | $end).pack('nnNn', 65_280, 1, 0, 0);
            try {
                self::assertTrue(Message::read($bytes)->answers[1]->name->isRoot());
                self::assertTrue($isRead);
            } catch (DnsError $error) {
                self::assertStringContainsString('pointers', $error->getMessage());
                self::assertFalse($isRead);
            }
        }
    }

    public function test_a_name_of_a_message_is_no_longer_than_others(): void
    {
        $labels = pack('n6', 1, 0x8000, 0, 1, 0, 0).str_repeat("\x3f".str_repeat('a', 63), 4)."\0".str_repeat("\0", 10);
        $this->expectException(DnsError::class);
        $this->expectExceptionMessage('longer than 255');
        Message::read($labels);
    }

    public function test_garbage_is_refused_and_nothing_else(): void
    {
        mt_srand(20261006);
        $good = (new Message(1, [], true, answers: [new Record(Name::of('a.example'), 16, 1, Txt::of(str_repeat('x', 60)))]))->octets();
        $refused = 0;
        for ($count = 0; $count < 5000; $count++) {
            $bytes = $good;
            for ($change = mt_rand(1, 6); $change > 0; $change--) {
                $bytes[mt_rand(0, strlen($bytes) - 1)] = chr(mt_rand(0, 255));
            }
            try {
                Message::read($bytes);
            } catch (DnsError) {
                $refused++;
            }
        }
        self::assertGreaterThan(1000, $refused);
    }

    /** RFC 2181 §8. */
    public function test_a_time_with_its_highest_bit_is_none(): void
    {
        $bytes = (new Message(1, [], true, answers: [new Record(Name::of('a'), 1, 0x80000001, A::of('192.0.2.1'))]))->octets();
        self::assertSame(0, Message::read($bytes)->answers[0]->ttl);
    }
}
