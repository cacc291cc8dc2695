<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** Numbers the lots of a docket: one giving account each, within the registrar's limit. */
final class Lots
{
    private int $last = 0;

    /** @var array<int, array{int, int}> lot and names in it, by account */
    private array $open = [];

    public function next(int $accountId, int $limit): int
    {
        [$lot, $count] = $this->open[$accountId] ?? [0, $limit];
        if ($count >= $limit) {
            [$lot, $count] = [++$this->last, 0];
        }
        $this->open[$accountId] = [$lot, $count + 1];

        return $lot;
    }
}
