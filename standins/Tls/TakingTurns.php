<?php

declare(strict_types=1);

namespace Standin\Tls;

use Closure;
use React\EventLoop\Loop;

/**
 * Handshakes that begin one after another. Connections to one port share their settings, the certificate among them, and PHP reads it in
 * the turn of the loop after the one that set it.
 */
final class TakingTurns
{
    /** @var list<Closure(): mixed> */
    private array $waiting = [];

    private bool $isUnderWay = false;

    /** @param  Closure(): mixed  $begin */
    public function add(Closure $begin): void
    {
        $this->waiting[] = $begin;
        $this->next();
    }

    private function next(): void
    {
        if ($this->isUnderWay || $this->waiting === []) {
            return;
        }
        $this->isUnderWay = true;
        array_shift($this->waiting)();
        Loop::futureTick(fn () => Loop::futureTick(function (): void {
            $this->isUnderWay = false;
            $this->next();
        }));
    }
}
