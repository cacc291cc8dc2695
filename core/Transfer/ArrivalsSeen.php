<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

/** How long transfers from a registrar under a suffix have taken, as far as they were ours. */
final readonly class ArrivalsSeen
{
    /** Fewer tell nothing: the house's own choice. */
    public const LEAST = 5;

    /**
     * @param  int  $cases  on how many it rests
     * @param  int  $median  whole days within which half of them had arrived
     * @param  int  $ninth  whole days within which nine of ten had (the ninth decile)
     */
    public function __construct(public int $cases, public int $median, public int $ninth)
    {
    }

    public function tells(): bool
    {
        return $this->cases >= self::LEAST;
    }
}
