<?php

declare(strict_types=1);

namespace App\Queries\Roll;

/** The names that a person has gathered. */
final readonly class Sheaf
{
    /**
     * @param  list<int>  $ids
     * @param  int  $clients  of those that are held
     * @param  int  $registrars  of those that are held
     * @param  int  $watched  how many are only watched
     */
    public function __construct(public array $ids, private int $clients, private int $registrars, private int $watched = 0)
    {
    }

    public function has(int $nameId): bool
    {
        return in_array($nameId, $this->ids, true);
    }

    public function count(): int
    {
        return count($this->ids);
    }

    /** `2 clients, 3 registrars`, or `1 client, 1 registrar, 2 only watched` */
    public function told(): string
    {
        $told = [
            trans_choice('sheaf.clients', $this->clients),
            trans_choice('sheaf.registrars', $this->registrars),
            ...$this->watched === 0 ? [] : [trans_choice('sheaf.watched', $this->watched)],
        ];

        return $this->ids === [] ? '' : implode(', ', $told);
    }
}
