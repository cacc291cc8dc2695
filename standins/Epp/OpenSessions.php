<?php

declare(strict_types=1);

namespace Standin\Epp;

/** How many sessions each account has at one gate. */
final class OpenSessions
{
    /** That one account may have at once. */
    private const MOST = 5;

    /** @var array<string, int> */
    private array $counts = [];

    /** Whether there is room for one more, which is then counted. */
    public function enter(string $account): bool
    {
        if (($this->counts[$account] ?? 0) >= self::MOST) {
            return false;
        }
        $this->counts[$account] = ($this->counts[$account] ?? 0) + 1;

        return true;
    }

    public function leave(string $account): void
    {
        $this->counts[$account] = max(0, ($this->counts[$account] ?? 1) - 1);
    }
}
