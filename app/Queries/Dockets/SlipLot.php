<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use App\Models\Account;
use App\Models\DocketLine;

/** The names of a docket that go together, with the steps of either side in order. */
final readonly class SlipLot
{
    /**
     * @param  list<DocketLine>  $lines
     * @param  list<SlipStep>  $giving
     * @param  list<SlipStep>  $receiving
     * @param  string|null  $keeper  who does it, where that is not the registrar
     * @param  bool  $ends  whether its names are done with these steps; false: something else must happen first, which nobody ticks
     */
    public function __construct(
        public int $number,
        public Account $account,
        public array $lines,
        public array $giving,
        public array $receiving,
        public ?string $keeper = null,
        public bool $ends = true,
    ) {
    }

    public function names(): string
    {
        return implode("\n", array_map(fn (DocketLine $line): string => $line->name->ascii, $this->lines));
    }
}
