<?php

declare(strict_types=1);

namespace Standin;

/** The one clock of the world: the machine's, plus an offset that only grows. */
final class WorldClock
{
    private int $offset;

    public function __construct(private readonly Store $store)
    {
        $this->offset = (int) ($store->told('offset') ?? '0');
    }

    /** Seconds since 1970. */
    public function now(): int
    {
        return time() + $this->offset;
    }

    /** Sets it; what should happen meanwhile is the caller's to let happen. */
    public function set(int $epoch): void
    {
        $this->offset = $epoch - time();
        $this->store->tell('offset', (string) $this->offset);
    }
}
