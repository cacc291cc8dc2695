<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Support\Dates;

/** One name in a letter about its end, with what a year costs. */
final readonly class EndInWords
{
    public function __construct(private Words $words)
    {
    }

    /** @param  bool  $isOver  whether the end is past */
    public function line(string $name, Instant $ends, ?Money $sum, bool $isOver = false): string
    {
        $key = 'asks.'.($isOver ? 'line_over' : 'line').($sum === null ? '' : '_priced');

        return $this->words->say($key, ['name' => $name, 'day' => Dates::full($ends), 'sum' => $sum?->text() ?? '']);
    }
}
