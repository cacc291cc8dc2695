<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\ResponseCode;
use Fiber;
use React\EventLoop\LoopInterface;
use React\EventLoop\StreamSelectLoop;
use RuntimeException;
use Throwable;

/** Questions to name servers, many under way at once: UDP, TCP where an answer is cut, asked again after silence. */
final class Exchange
{
    /** Questions under way to one server, so that neither it nor its socket is flooded. */
    private const A_SERVER = 200;

    /** How servers answer that know nothing of EDNS (RFC 6891 §7). */
    private const WITHOUT_EDNS = [ResponseCode::FORMAT_ERROR, ResponseCode::NOT_IMPLEMENTED];

    private readonly LoopInterface $loop;

    /** @var array<string, int> by address: how many are under way */
    private array $underWay = [];

    /** @var array<string, list<callable(): void>> by address: what waits until others have been answered */
    private array $queues = [];

    private readonly Datagrams $datagrams;

    private readonly Unreadable $unreadable;

    private readonly AskedByStream $streams;

    private readonly Transfers $transfers;

    /** @param  float  $seconds  that one try may take */
    public function __construct(int $port, float $seconds, private readonly int $tries)
    {
        $this->loop = new StreamSelectLoop();
        $this->unreadable = new Unreadable();
        $this->datagrams = new Datagrams($this->loop, $port, $seconds, $this->unreadable);
        $this->streams = new AskedByStream($this->loop, $port, $seconds);
        $this->transfers = new Transfers($this->loop, $port, $seconds * 4);
    }

    /** Whether something came from there that can't be read. */
    public function isGarbled(string $address): bool
    {
        return $this->unreadable->timesFrom($address) > 0;
    }

    /**
     * Works at so many at once, each in a fiber that waits for its answers.
     *
     * @template T
     *
     * @param  iterable<T>  $things
     * @param  callable(T): void  $work
     */
    public function each(iterable $things, callable $work, int $atOnce): void
    {
        $waiting = (fn () => (yield from $things))();
        $running = 0;
        $failed = null;
        $begin = function () use (&$begin, &$running, &$failed, $waiting, $work, $atOnce): void {
            while ($running < $atOnce && $failed === null && $waiting->valid()) {
                $thing = $waiting->current();
                $waiting->next();
                $running++;
                (new Fiber(function () use ($thing, $work, &$running, &$failed, &$begin): void {
                    try {
                        $work($thing);
                    } catch (Throwable $e) {
                        $failed ??= $e;
                    }
                    $running--;
                    $this->loop->futureTick($begin);
                }))->start();
            }
            if ($running === 0) {
                $this->loop->stop();
            }
        };
        $this->loop->futureTick($begin);
        $this->loop->run();
        if ($failed !== null) {
            throw $failed;
        }
    }

    /**
     * Inside a fiber: the answers to questions that are under way together; null where there was none.
     *
     * @template K of array-key
     *
     * @param  array<K, array{0: string, 1: Question, 2?: bool, 3?: bool}>  $questions  each with the address dialled, whether
     *     signatures are wanted, and whether it is asked over TCP
     * @return array<K, Message|null>
     */
    public function ask(array $questions): array
    {
        if ($questions === []) {
            return [];
        }
        $fiber = Fiber::getCurrent() ?? throw new RuntimeException('Questions are asked in each().');
        $answers = [];
        foreach ($questions as $key => $asked) {
            [$address, $question] = $asked;
            $edns = ($asked[2] ?? false) ? new Edns(wantsSignatures: true) : null;
            $told = function (?Message $answer) use ($address, $key, $fiber, $questions, &$answers): void {
                $this->answered($address);
                $answers[$key] = $answer;
                if (count($answers) === count($questions)) {
                    $this->loop->futureTick(fn () => $fiber->resume());
                }
            };
            $isStream = $asked[3] ?? false;
            $this->inTurn(
                $address,
                fn () => $isStream
                    ? $this->streams->ask($address, $question, fn (?Message $answer) => $told(self::checked($answer, $question)), $edns)
                    : $this->one($address, $question, $edns, $this->tries, $told),
            );
        }
        Fiber::suspend();

        return $answers;
    }

    /**
     * Inside a fiber: all records of a zone.
     *
     * @return list<Record>|null null: the server doesn't give it away
     */
    public function transfer(string $address, Name $zone): ?array
    {
        $fiber = Fiber::getCurrent() ?? throw new RuntimeException('Questions are asked in each().');
        $found = null;
        $this->transfers->ask($address, $zone, function (?array $records) use (&$found, $fiber): void {
            $found = $records;
            $this->loop->futureTick(fn () => $fiber->resume());
        });
        Fiber::suspend();

        /** @var list<Record>|null $found */
        return $found;
    }

    /** @param  callable(): void  $ask */
    private function inTurn(string $address, callable $ask): void
    {
        $this->underWay[$address] ??= 0;
        if ($this->underWay[$address] < self::A_SERVER) {
            $this->underWay[$address]++;
            $ask();
        } else {
            $this->queues[$address][] = $ask;
        }
    }

    private function answered(string $address): void
    {
        $next = isset($this->queues[$address]) ? array_shift($this->queues[$address]) : null;
        if ($next !== null) {
            $next();

            return;
        }
        unset($this->queues[$address]);
        if (--$this->underWay[$address] === 0) {
            unset($this->underWay[$address]);
        }
    }

    /** @param  callable(Message|null): void  $told */
    private function one(string $address, Question $question, ?Edns $edns, int $tries, callable $told): void
    {
        $this->datagrams->ask(
            $address,
            $question,
            function (?Message $answer) use ($address, $question, $edns, $tries, $told): void {
                if ($answer === null && $tries > 1) {
                    $this->one($address, $question, $edns, $tries - 1, $told);
                } elseif ($edns !== null && in_array($answer?->code, self::WITHOUT_EDNS, true)) {
                    $this->one($address, $question, null, $tries, $told);
                } elseif ($answer?->isTruncated === true) {
                    $this->streams->ask($address, $question, fn (?Message $whole) => $told(self::checked($whole, $question)), $edns);
                } else {
                    $told(self::checked($answer, $question));
                }
            },
            $edns,
        );
    }

    /** Only what repeats the question is its answer (RFC 1035 §4.1.2, RFC 5452 §9.1); a refusal may leave the question out. */
    private static function checked(?Message $answer, Question $question): ?Message
    {
        $asked = $answer?->questions[0] ?? null;
        $isAnswer = $asked === null ? $answer?->code !== ResponseCode::OK : $asked->equals($question);

        return $isAnswer ? $answer : null;
    }
}
