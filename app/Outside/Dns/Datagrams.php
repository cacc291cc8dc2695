<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\Edns;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;
use SplQueue;

/** Questions by UDP. Whoever forges an answer must guess the port, the id and the address (RFC 5452 §9.2). */
final class Datagrams
{
    /** Then another port is taken, as the kernel draws them. */
    private const QUESTIONS_A_PORT = 100;

    /** Seconds between two looks at what is to be given up. */
    private const LOOKS = 0.05;

    /** @var array<string, UdpPort> by family of addresses: the one that asks */
    private array $ports = [];

    /** @var SplQueue<array{float, UdpPort, string}> what was asked, the oldest first: when it is given up, at which port, by which key */
    private readonly SplQueue $deadlines;

    private ?TimerInterface $timer = null;

    /** @param  float  $seconds  until a question is given up */
    public function __construct(
        private readonly LoopInterface $loop,
        private readonly int $port,
        private readonly float $seconds,
        private readonly Unreadable $unreadable = new Unreadable(),
    ) {
        $this->deadlines = new SplQueue();
    }

    /** @param  callable(Message|null): void  $told  null: nobody answered */
    public function ask(string $address, Question $question, callable $told, ?Edns $edns = null): void
    {
        $isSix = str_contains($address, ':');
        $family = $isSix ? '[::]' : '0.0.0.0';
        if (! isset($this->ports[$family]) || $this->ports[$family]->asked >= self::QUESTIONS_A_PORT) {
            ($this->ports[$family] ?? null)?->closeWhenAnswered();
            $this->ports[$family] = new UdpPort($this->loop, $family, $this->unreadable);
        }
        $port = $this->ports[$family];
        $at = ($isSix ? '['.inet_ntop((string) inet_pton($address)).']' : $address).":{$this->port}";
        $key = $port->ask($at, $question, $told, $edns);
        $this->deadlines->enqueue([microtime(true) + $this->seconds, $port, $key]);
        $this->timer ??= $this->loop->addTimer($this->seconds, $this->giveUp(...));
    }

    private function giveUp(): void
    {
        // Whoever asks again while this runs joins the queue, and needs no timer of its own.
        $now = microtime(true);
        while (! $this->deadlines->isEmpty() && $this->deadlines->bottom()[0] <= $now) {
            [, $port, $key] = $this->deadlines->dequeue();
            $port->giveUp($key);
        }
        $this->timer = $this->deadlines->isEmpty()
            ? null
            : $this->loop->addTimer(max(self::LOOKS, $this->deadlines->bottom()[0] - $now), $this->giveUp(...));
    }
}
