<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

/** In which order a registrar charges what falls on one day: what comes late may find nothing left. */
enum ChargeOrder: string
{
    /** What expires first. */
    case Ends = 'ends';
    case Name = 'name';
    case DearestFirst = 'dearest_first';
    case CheapestFirst = 'cheapest_first';

    public function compare(Charge $one, Charge $other): int
    {
        $first = match ($this) {
            self::Ends => $one->ends->epoch <=> $other->ends->epoch,
            self::Name => 0,
            self::DearestFirst => $other->amount->minor() <=> $one->amount->minor(),
            self::CheapestFirst => $one->amount->minor() <=> $other->amount->minor(),
        };

        return $first !== 0 ? $first : strcmp($one->name, $other->name);
    }
}
