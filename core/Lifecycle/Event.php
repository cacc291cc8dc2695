<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use JsonSerializable;

/** One date in a name's life. */
final readonly class Event implements JsonSerializable
{
    /**
     * @param  Money|null  $sum  what is paid then (a charge), or what letting it pass adds
     * @param  bool  $certain  false: the registrar's terms don't say, and this is the earliest that the rules allow
     */
    public function __construct(public EventKind $kind, public Instant $at, public ?Money $sum = null, public bool $certain = true)
    {
    }

    /** @return array{kind: string, at: Instant, costs: string, sum: Money|null, certain: bool} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'at' => $this->at,
            'costs' => $this->kind->cost()->name,
            'sum' => $this->sum,
            'certain' => $this->certain,
        ];
    }
}
