<?php

declare(strict_types=1);

namespace Standin\Directory;

/** How often somebody has asked this minute, by the machine's clock. */
final class AskedOften
{
    /** @var array<string, int> */
    private array $counts = [];

    private int $minute = 0;

    /** @return int|null seconds to wait, when it is too often */
    public function more(string $who, int $limit): ?int
    {
        $now = time();
        if (intdiv($now, 60) !== $this->minute) {
            [$this->minute, $this->counts] = [intdiv($now, 60), []];
        }
        $this->counts[$who] = ($this->counts[$who] ?? 0) + 1;

        return $this->counts[$who] > $limit ? 60 - $now % 60 : null;
    }
}
