<?php

declare(strict_types=1);

namespace App\Outside\Dns;

/**
 * How often something came in the name of a server that can't be read. It may have been forged, so the true answer is still waited for;
 * where none comes, that is what is told of the server.
 */
final class Unreadable
{
    /** @var array<string, int> by address */
    private array $times = [];

    /** @param  string  $from  address and port */
    public function came(string $from): void
    {
        $address = trim(substr($from, 0, (int) strrpos($from, ':')), '[]');
        $this->times[$address] = ($this->times[$address] ?? 0) + 1;
    }

    public function timesFrom(string $address): int
    {
        return $this->times[$address] ?? 0;
    }
}
