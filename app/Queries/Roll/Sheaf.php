<?php

declare(strict_types=1);

namespace App\Queries\Roll;

/** The names that a person has gathered. */
final readonly class Sheaf
{
    /** @param  list<int>  $ids */
    public function __construct(public array $ids, private int $clients, private int $registrars)
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

    /** `2 clients, 3 registrars` */
    public function told(): string
    {
        return $this->ids === [] ? '' : $this->clients.($this->clients === 1 ? ' client, ' : ' clients, ').$this->registrars.($this->registrars === 1 ? ' registrar' : ' registrars');
    }
}
