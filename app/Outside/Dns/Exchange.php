<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Fiber;
use React\Dns\Model\Message;
use React\Dns\Query\ExecutorInterface;
use React\Dns\Query\Query;
use React\Dns\Query\RetryExecutor;
use React\Dns\Query\SelectiveTransportExecutor;
use React\Dns\Query\TcpTransportExecutor;
use React\Dns\Query\TimeoutExecutor;
use React\Dns\Query\UdpTransportExecutor;
use React\EventLoop\LoopInterface;
use React\EventLoop\StreamSelectLoop;

use function React\Promise\all;

use React\Promise\PromiseInterface;
use RuntimeException;
use Throwable;

/** Questions to name servers, many under way at once: UDP, TCP where an answer is cut, asked again after silence. */
final class Exchange
{
    private readonly LoopInterface $loop;

    /** @var array<string, ExecutorInterface> by the address that is dialled */
    private array $executors = [];

    /** @param  float  $seconds  that one try may take */
    public function __construct(private readonly int $port, private readonly float $seconds, private readonly int $tries)
    {
        $this->loop = new StreamSelectLoop();
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
     * @param  array<string, array{string, string, int}>  $questions  the address dialled, name and type
     * @return array<string, Message|null>
     */
    public function ask(array $questions): array
    {
        $promises = array_map(
            fn (array $question): PromiseInterface => $this->executor($question[0])
                ->query(new Query($question[1], $question[2], Message::CLASS_IN))
                ->then(fn (Message $answer): ?Message => self::answers($answer, $question) ? $answer : null, fn (): null => null),
            $questions,
        );
        $fiber = Fiber::getCurrent() ?? throw new RuntimeException('Questions are asked in each().');
        all($promises)->then(fn (array $answers) => $this->loop->futureTick(fn () => $fiber->resume($answers)));
        /** @var array<string, Message|null> $answers */
        $answers = Fiber::suspend();

        return $answers;
    }

    /**
     * Whether it repeats what was asked (RFC 1035 §4.1.2, RFC 5452 §9.1); a refusal may leave the question out.
     *
     * @param  array{string, string, int}  $question
     */
    private static function answers(Message $answer, array $question): bool
    {
        $asked = $answer->questions[0] ?? null;

        return $asked === null
            ? $answer->rcode !== Message::RCODE_OK
            : strcasecmp(rtrim($asked->name, '.'), rtrim($question[1], '.')) === 0 && $asked->type === $question[2];
    }

    private function executor(string $address): ExecutorInterface
    {
        $at = (str_contains($address, ':') ? "[{$address}]" : $address).":{$this->port}";

        return $this->executors[$at] ??= new RetryExecutor(
            new TimeoutExecutor(
                new SelectiveTransportExecutor(new UdpTransportExecutor($at, $this->loop), new TcpTransportExecutor($at, $this->loop)),
                $this->seconds,
                $this->loop,
            ),
            $this->tries - 1,
        );
    }
}
