<?php

declare(strict_types=1);

namespace App\Http\Clients;

use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;

/** The span of what was laid out; a day that is none is the first, or the last, of this year. */
final class LaidOutRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** @return array{Instant, Instant} first and last day */
    public function span(): array
    {
        $today = app(TradeClock::class)->today();
        $from = $this->day('from') ?? Instant::day((int) substr($today->date(), 0, 4), 1, 1);
        $until = $this->day('until') ?? $today;

        return $until->isBefore($from) ? [$until, $from] : [$from, $until];
    }
}
