<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Question;
use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;

/** Questions by UDP. Whoever forges an answer must guess the port, the id and the address (RFC 5452 §9.2). */
final class Datagrams
{
    /** Then another port is taken, as the kernel draws them. */
    private const QUESTIONS_A_PORT = 100;

    /** @var array<string, UdpPort> by family of addresses: the one that asks */
    private array $ports = [];

    /** @var list<array{float, UdpPort, string}> what was asked, the oldest first: when it is given up, at which port, by which key */
    private array $deadlines = [];

    private int $next = 0;

    private ?TimerInterface $timer = null;

    /** @param  float  $seconds  until a question is given up */
    public function __construct(private readonly LoopInterface $loop, private readonly int $port, private readonly float $seconds)
    {
    }

    /** @param  callable(Message|null): void  $told  null: nobody answered */
    public function ask(string $address, Question $question, callable $told): void
    {
        $isSix = str_contains($address, ':');
        $family = $isSix ? '[::]' : '0.0.0.0';
        if (! isset($this->ports[$family]) || $this->ports[$family]->asked >= self::QUESTIONS_A_PORT) {
            ($this->ports[$family] ?? null)?->closeWhenAnswered();
            $this->ports[$family] = new UdpPort($this->loop, $family);
        }
        $port = $this->ports[$family];
        $key = $port->ask(($isSix ? '['.inet_ntop((string) inet_pton($address)).']' : $address).":{$this->port}", $question, $told);
        $this->deadlines[] = [microtime(true) + $this->seconds, $port, $key];
        $this->timer ??= $this->loop->addTimer($this->seconds, $this->giveUp(...));
    }

    private function giveUp(): void
    {
        $this->timer = null;
        $now = microtime(true);
        while (isset($this->deadlines[$this->next]) && $this->deadlines[$this->next][0] <= $now) {
            [, $port, $key] = $this->deadlines[$this->next++];
            $port->giveUp($key);
        }
        $this->deadlines = array_slice($this->deadlines, $this->next);
        $this->next = 0;
        if ($this->deadlines !== []) {
            $this->timer = $this->loop->addTimer(max(0.001, $this->deadlines[0][0] - $now), $this->giveUp(...));
        }
    }
}
