<?php

declare(strict_types=1);

namespace Standin\Tls;

use Evenement\EventEmitter;
use React\Socket\ServerInterface;

/** A server whose connections somebody else accepts and passes on. */
final class Passed extends EventEmitter implements ServerInterface
{
    public function __construct(private readonly ServerInterface $from)
    {
    }

    public function getAddress(): ?string
    {
        return $this->from->getAddress();
    }

    public function pause(): void
    {
        $this->from->pause();
    }

    public function resume(): void
    {
        $this->from->resume();
    }

    public function close(): void
    {
        $this->from->close();
    }
}
