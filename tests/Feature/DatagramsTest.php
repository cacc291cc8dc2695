<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Dns\Data\A;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use App\Outside\Dns\Datagrams;
use PHPUnit\Framework\TestCase;
use React\EventLoop\StreamSelectLoop;
use RuntimeException;

/** Questions by UDP, beside a server that lies, and others that pretend to be it. */
final class DatagramsTest extends TestCase
{
    private StreamSelectLoop $loop;

    /** @var resource */
    private $server;

    private int $port;

    protected function setUp(): void
    {
        $this->loop = new StreamSelectLoop();
        $this->server = self::udp();
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($this->server, false), ':'), 1);
    }

    /** @return resource */
    private static function udp()
    {
        $udp = stream_socket_server('udp://127.0.0.1:0', $code, $why, STREAM_SERVER_BIND);

        return $udp === false ? throw new RuntimeException((string) $why) : $udp;
    }

    /** @return array{Message, string} a question, and who asks */
    private function received(): array
    {
        $bytes = (string) stream_socket_recvfrom($this->server, 4096, 0, $peer);

        return [Message::read($bytes), is_string($peer) ? $peer : ''];
    }

    /**
     * @param  callable(Message, callable(string, resource|null=): mixed): mixed  $serve  told the question, and how to send
     * @return list<string|null> the addresses that were told, one a question; null: nobody answered
     */
    private function asked(callable $serve, int $questions = 1): array
    {
        $this->loop->addReadStream($this->server, function () use ($serve): void {
            [$asked, $peer] = $this->received();
            $serve($asked, fn (string $answer, $from = null) => stream_socket_sendto($from ?? $this->server, $answer, 0, $peer));
        });
        $told = [];
        $datagrams = new Datagrams($this->loop, $this->port, 0.3);
        for ($count = 0; $count < $questions; $count++) {
            $datagrams->ask('127.0.0.1', self::question(), function (?Message $answer) use (&$told, $questions): void {
                $data = $answer?->answers[0]->data ?? null;
                $told[] = $data instanceof A ? $data->address : null;
                if (count($told) === $questions) {
                    $this->loop->stop();
                }
            });
        }
        $this->loop->run();

        return $told;
    }

    private static function question(): Question
    {
        return new Question(Name::of('bells.example'), RecordType::A->value);
    }

    private static function answer(int $id, string $address, bool $isAnswer = true): string
    {
        $record = new Record(Name::of('bells.example'), RecordType::A->value, 60, A::of($address));

        return (new Message($id, [self::question()], $isAnswer, answers: [$record]))->octets();
    }

    public function test_what_is_forged_or_garbled_is_not_the_answer_and_does_not_end_the_wait(): void
    {
        $told = $this->asked(function (Message $asked, callable $send): void {
            $send('');
            $send('short');
            $send(pack('n', $asked->id).random_bytes(30));
            $send(self::answer($asked->id ^ 1, '192.0.2.66'));
            $send(self::answer($asked->id, '192.0.2.67', isAnswer: false));
            $send(self::answer($asked->id, '192.0.2.68'), self::udp());
            $send(self::answer($asked->id, '192.0.2.1'));
        });
        self::assertSame(['192.0.2.1'], $told);
    }

    public function test_silence_ends_in_time_and_a_second_answer_is_nobodys(): void
    {
        self::assertSame([null], $this->asked(fn () => null));
        $this->loop->removeReadStream($this->server);
        self::assertSame(['192.0.2.1'], $this->asked(function (Message $asked, callable $send): void {
            $send(self::answer($asked->id, '192.0.2.1'));
            $send(self::answer($asked->id, '192.0.2.2'));
        }));
    }

    public function test_whoever_asks_again_when_given_up_is_given_up_too(): void
    {
        $datagrams = new Datagrams($this->loop, $this->port, 0.1);
        $silences = 0;
        $ask = function () use (&$ask, &$silences, $datagrams): void {
            $datagrams->ask('127.0.0.1', self::question(), function (?Message $answer) use (&$silences, $ask): void {
                self::assertNull($answer);
                ++$silences < 3 ? $ask() : $this->loop->stop();
            });
        };
        $ask();
        $this->loop->run();
        self::assertSame(3, $silences);
    }

    /** Several hundred questions: each with its own answer, from more ports than one, and no id twice at one port. */
    public function test_many_at_once_from_changing_ports(): void
    {
        $ports = $ids = [];
        $this->loop->addReadStream($this->server, function () use (&$ports, &$ids): void {
            [$asked, $peer] = $this->received();
            $ports[$peer] = ($ports[$peer] ?? 0) + 1;
            $ids["{$peer} {$asked->id}"] = true;
            stream_socket_sendto($this->server, self::answer($asked->id, '192.0.2.1'), 0, $peer);
        });
        $told = 0;
        $datagrams = new Datagrams($this->loop, $this->port, 5);
        $ask = function () use (&$ask, &$told, $datagrams): void {
            $datagrams->ask('127.0.0.1', self::question(), function (?Message $answer) use (&$told, $ask): void {
                self::assertNotNull($answer);
                ++$told < 450 ? $ask() : $this->loop->stop();
            });
        };
        $ask();
        $this->loop->run();
        self::assertSame([450, 450], [$told, count($ids)]);
        self::assertSame([100, 100, 100, 100, 50], array_values($ports));
    }
}
