<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\ResponseCode;
use Fiber;
use React\EventLoop\LoopInterface;
use React\EventLoop\StreamSelectLoop;
use RuntimeException;
use Throwable;

/** Questions to name servers, many under way at once: UDP, TCP where an answer is cut, asked again after silence. */
final class Exchange
{
    private readonly LoopInterface $loop;

    private readonly Datagrams $datagrams;

    private readonly AskedByStream $streams;

    /** @param  float  $seconds  that one try may take */
    public function __construct(int $port, float $seconds, private readonly int $tries)
    {
        $this->loop = new StreamSelectLoop();
        $this->datagrams = new Datagrams($this->loop, $port, $seconds);
        $this->streams = new AskedByStream($this->loop, $port, $seconds);
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
     * @param  array<string, array{string, Question}>  $questions  each with the address dialled
     * @return array<string, Message|null>
     */
    public function ask(array $questions): array
    {
        if ($questions === []) {
            return [];
        }
        $fiber = Fiber::getCurrent() ?? throw new RuntimeException('Questions are asked in each().');
        $answers = [];
        foreach ($questions as $key => [$address, $question]) {
            $this->one($address, $question, $this->tries, function (?Message $answer) use ($key, $fiber, $questions, &$answers): void {
                $answers[$key] = $answer;
                if (count($answers) === count($questions)) {
                    $this->loop->futureTick(fn () => $fiber->resume());
                }
            });
        }
        Fiber::suspend();

        return $answers;
    }

    /** @param  callable(Message|null): void  $told */
    private function one(string $address, Question $question, int $tries, callable $told): void
    {
        $this->datagrams->ask($address, $question, function (?Message $answer) use ($address, $question, $tries, $told): void {
            if ($answer === null && $tries > 1) {
                $this->one($address, $question, $tries - 1, $told);
            } elseif ($answer !== null && $answer->isTruncated) {
                $this->streams->ask($address, $question, fn (?Message $whole) => $told(self::checked($whole, $question)));
            } else {
                $told(self::checked($answer, $question));
            }
        });
    }

    /** Only what repeats the question is its answer (RFC 1035 §4.1.2, RFC 5452 §9.1); a refusal may leave the question out. */
    private static function checked(?Message $answer, Question $question): ?Message
    {
        $asked = $answer?->questions[0] ?? null;
        $isAnswer = $asked === null ? $answer?->code !== ResponseCode::OK : $asked->equals($question);

        return $isAnswer ? $answer : null;
    }
}
