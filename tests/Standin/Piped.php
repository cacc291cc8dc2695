<?php

declare(strict_types=1);

namespace Tests\Standin;

use Evenement\EventEmitter;
use React\Socket\ConnectionInterface;
use React\Stream\WritableStreamInterface;

/** A connection without a network: what is sent into it arrives, and what is written to it can be read. */
final class Piped extends EventEmitter implements ConnectionInterface
{
    public string $written = '';

    public bool $isOpen = true;

    public function arrive(string $bytes): void
    {
        $this->emit('data', [$bytes]);
    }

    public function write($data): bool
    {
        $this->written .= is_string($data) ? $data : '';

        return true;
    }

    public function end($data = null): void
    {
        $this->write($data);
        $this->close();
    }

    public function close(): void
    {
        $this->isOpen = false;
    }

    public function isReadable(): bool
    {
        return $this->isOpen;
    }

    public function isWritable(): bool
    {
        return $this->isOpen;
    }

    public function pause(): void
    {
    }

    public function resume(): void
    {
    }

    /** @param  array<array-key, mixed>  $options */
    public function pipe(WritableStreamInterface $dest, array $options = []): WritableStreamInterface
    {
        return $dest;
    }

    public function getRemoteAddress(): string
    {
        return 'tcp://127.0.0.9:40000';
    }

    public function getLocalAddress(): string
    {
        return 'tcp://127.0.0.1:1';
    }
}
