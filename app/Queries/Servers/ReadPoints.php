<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\KeysPlan;
use Acre\Core\Delegation\Propagation;
use Acre\Core\Delegation\ServersChange;
use Acre\Core\Drawing\Pointing;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Record\Source;
use Acre\Core\Rulebook\Rulebook;
use App\Models\Name;
use App\Models\NamedSet;
use App\Queries\Outside\LastSeen;
use App\Support\TradeClock;

/** Where a name points, as it was last seen, and what a set of name servers would change. */
final readonly class ReadPoints
{
    public function __construct(
        private LastSeen $last,
        private ServerChecks $checks,
        private ReadWatches $watches,
        private ReadDependence $dependence,
        private KeptDelegates $delegates,
        private Rulebook $book,
        private TradeClock $clock,
    ) {
    }

    /** @param  NamedSet|null  $set  null: the one that was asked about last, if any was */
    public function of(Name $name, ?NamedSet $set): PointsPage
    {
        $now = $this->clock->now();
        $observed = $this->last->of($name->id, $name->ascii)[Source::Dns->value][0] ?? null;
        $asked = $set === null ? $this->checks->lastSet($name->id) : null;
        // Where it is already there is nothing to compare.
        $set ??= $asked !== null && $asked->value()->isExactly($observed?->delegation->parent ?? []) ? null : $asked;
        $seen = $set === null ? null : $this->checks->of([$name->id], $set->value())[$name->id] ?? null;
        [$delegation, $at] = [$observed?->delegation, $observed?->last];
        if ($seen !== null && ($at === null || ! $seen->at->isBefore($at))) {
            [$delegation, $at] = [$seen->standing, $seen->at];
        }
        $gone = $this->delegates->gone([$name->id])[$name->id] ?? null;
        $of = DomainName::of($name->ascii);
        $isChecked = $this->book->for($of->suffix(), $now)->serversChecked->value;
        $change = $set === null ? null : new ServersChange($of, $set->value(), $seen, $now, gone: $gone, isChecked: $isChecked);

        return new PointsPage(
            $delegation,
            $at,
            Finding::dearestFirst([
                ...$this->dependence->of($name->ascii, $now)->of($name->ascii),
                ...$delegation === null ? [] : $delegation->findings($now),
            ]),
            $delegation === null || $delegation->parent === null ? null : Pointing::of($delegation),
            $set,
            $set === null ? 0 : $this->checks->progress([$name->id], $set->value())['open'],
            $seen,
            $change,
            $seen?->before === null ? null : Propagation::of(...$this->spans($seen), from: $now),
            $seen?->before === null ? null : Propagation::lowered(...$this->spans($seen), from: $now),
            $seen === null || $seen->before === null
                ? null
                : KeysPlan::of(
                    $seen->standing->isSigned() === true,
                    $seen->standing->keys?->ttl,
                    $gone,
                    $this->spans($seen),
                    ($seen->keys ?? []) !== [],
                    $now,
                ),
            $this->watches->ofName($name->id),
        );
    }

    /** @return array{parent: int|null, zone: int|null, record: int} seconds */
    private function spans(ChangeSeen $seen): array
    {
        return [
            'parent' => $seen->standing->ttl,
            'zone' => $seen->before->sets["{$seen->before->zone} NS"]->ttl ?? null,
            'record' => $seen->before?->longest() ?? 0,
        ];
    }
}
