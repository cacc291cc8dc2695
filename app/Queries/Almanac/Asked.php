<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Time\Instant;

/** What the Almanac is asked for: the state of its view. */
final readonly class Asked
{
    /**
     * @param  bool  $every  every name that is to be kept; false: only those that auto-renew
     * @param  bool  $withTopUps  whether the top-ups that are planned count
     * @param  int  $months  ahead
     */
    public function __construct(public Scope $scope, public bool $every, public bool $withTopUps, public int $months, public Instant $now)
    {
    }

    public function until(): Instant
    {
        return $this->now->toDay()->plusMonths($this->months);
    }

    /** @return array<string, string> of its address */
    public function address(): array
    {
        return [
            'of' => $this->scope->text(),
            'count' => $this->every ? 'every' : 'set',
            'top-ups' => $this->withTopUps ? 'planned' : 'none',
            'months' => (string) $this->months,
        ];
    }
}
