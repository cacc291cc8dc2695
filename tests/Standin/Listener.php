<?php

declare(strict_types=1);

namespace Tests\Standin;

use Evenement\EventEmitter;
use React\Socket\ServerInterface;

/** A port that nobody has to open: whoever calls is a connection at once. */
final class Listener extends EventEmitter implements ServerInterface
{
    public function call(): Piped
    {
        $connection = new Piped;
        $this->emit('connection', [$connection]);

        return $connection;
    }

    public function getAddress(): string
    {
        return 'tcp://127.0.0.1:1';
    }

    public function pause(): void
    {
    }

    public function resume(): void
    {
    }

    public function close(): void
    {
    }
}
