<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\WhatIf;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;

/** What the Almanac is asked for: the state of its view. */
final readonly class Asked
{
    /** Months of a part that is shown nearer. */
    public const ZOOM = 3;

    /**
     * @param  bool  $every  every name that is to be kept; false: only those that auto-renew
     * @param  bool  $withTopUps  whether the top-ups that are planned count
     * @param  int  $months  ahead
     * @param  WhatIf  $whatIf  what is to be otherwise than it is
     * @param  Instant|null  $zoom  the first day of the month from which a quarter is shown; null: all of it is
     * @param  int|null  $moveTo  the account that names are moved to, if it were so; null: none are
     * @param  array<string, true>  $moved  those names, A-labels; none: all of them
     */
    public function __construct(
        public Scope $scope,
        public bool $every,
        public bool $withTopUps,
        public int $months,
        public Instant $now,
        public WhatIf $whatIf = new WhatIf(),
        public ?Instant $zoom = null,
        public ?int $moveTo = null,
        public array $moved = [],
    ) {
    }

    /** The same, with nothing otherwise. */
    public function asToday(): self
    {
        return new self($this->scope, $this->every, $this->withTopUps, $this->months, $this->now, zoom: $this->zoom);
    }

    /** Whether nothing is otherwise. */
    public function isAsToday(): bool
    {
        return $this->whatIf->isAsToday() && $this->moveTo === null;
    }

    /** Whether it were moved. */
    public function isMoved(string $name): bool
    {
        return $this->moveTo !== null && ($this->moved === [] || isset($this->moved[$name]));
    }

    /** The first day that is shown. */
    public function shownFrom(): Instant
    {
        return $this->zoom === null ? $this->now->toDay() : Instant::latest($this->zoom, $this->now->toDay());
    }

    /** The day after the last that is shown. */
    public function shownUntil(): Instant
    {
        return $this->zoom === null ? $this->until() : Instant::earliest($this->zoom->plusMonths(self::ZOOM), $this->until());
    }

    public function isShown(Instant $at): bool
    {
        return $this->zoom === null || (! $at->isBefore($this->shownFrom()) && $at->isBefore($this->shownUntil()));
    }

    /** @return list<Instant> the months from which parts of it can be shown nearer */
    public function parts(): array
    {
        $parts = [];
        $from = Instant::of(substr($this->now->date(), 0, 7).'-01');
        while ($from->isBefore($this->until())) {
            $parts[] = $from;
            $from = $from->plusMonths(self::ZOOM);
        }

        return $parts;
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
        ] + ($this->zoom === null ? [] : ['zoom' => substr($this->zoom->date(), 0, 7)]) + $this->whatIf();
    }

    /** @param  array<string, true>  $names */
    private static function listed(array $names): string
    {
        return implode(', ', array_map(fn (string $name): string => DomainName::of($name)->unicode, array_keys($names)));
    }

    /** @return array<string, string> what is otherwise, as its form has it */
    private function whatIf(): array
    {
        return array_filter([
            'rise' => $this->whatIf->risePercent ?? '',
            'rise-from' => $this->whatIf->risePercent === null ? '' : $this->whatIf->riseFrom?->date() ?? '',
            'let-go' => self::listed($this->whatIf->letGo),
            'move-to' => (string) $this->moveTo,
            'moved' => $this->moveTo === null ? '' : self::listed($this->moved),
            'years' => $this->whatIf->years === 1 ? '' : (string) $this->whatIf->years,
        ], fn (string $value): bool => $value !== '');
    }
}
