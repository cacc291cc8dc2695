<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use App\Models\Account;

/** What a person does at a registrar's own page for one docket. */
final readonly class Slip
{
    /**
     * @param  Account|null  $receiver  null: only the side where the names lie acts
     * @param  list<SlipLot>  $lots  of the names that are still open
     * @param  bool  $showsBoth  whether a side that has nothing to do is shown too
     */
    public function __construct(public ?Account $receiver, public array $lots, public bool $showsBoth = true)
    {
    }

    /** @return list<int> lines that are done once somebody has done what stands here */
    public function tickable(): array
    {
        $ids = [];
        foreach ($this->lots as $lot) {
            foreach ($lot->ends ? $lot->lines : [] as $line) {
                $ids[] = $line->id;
            }
        }

        return $ids;
    }
}
