<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\WhatIf;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;

/** What the Almanac is asked for: the state of its view. */
final readonly class Asked
{
    /**
     * @param  bool  $every  every name that is to be kept; false: only those that auto-renew
     * @param  bool  $withTopUps  whether the top-ups that are planned count
     * @param  int  $months  ahead
     * @param  WhatIf  $whatIf  what is to be otherwise than it is
     */
    public function __construct(
        public Scope $scope,
        public bool $every,
        public bool $withTopUps,
        public int $months,
        public Instant $now,
        public WhatIf $whatIf = new WhatIf(),
    ) {
    }

    /** The same, with nothing otherwise. */
    public function asToday(): self
    {
        return new self($this->scope, $this->every, $this->withTopUps, $this->months, $this->now);
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
        ] + $this->whatIf();
    }

    /** @return array<string, string> what is otherwise, as its form has it */
    private function whatIf(): array
    {
        return array_filter([
            'rise' => $this->whatIf->risePercent ?? '',
            'rise-from' => $this->whatIf->risePercent === null ? '' : $this->whatIf->riseFrom?->date() ?? '',
            'let-go' => implode(', ', array_map(
                fn (string $name): string => DomainName::of($name)->unicode,
                array_keys($this->whatIf->letGo),
            )),
            'years' => $this->whatIf->years === 1 ? '' : (string) $this->whatIf->years,
        ], fn (string $value): bool => $value !== '');
    }
}
