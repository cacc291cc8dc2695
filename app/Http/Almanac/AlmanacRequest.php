<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Http\SignedIn;
use App\Queries\Almanac\Asked;
use App\Queries\Almanac\Scope;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;

/** What the Almanac's address asks for; what is mangled in it shows the page as it usually is. */
final class AlmanacRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    public function asked(): Asked
    {
        return new Asked(
            Scope::read($this->word('of')) ?? Scope::all(),
            $this->word('count') === 'every',
            $this->word('top-ups') !== 'none',
            $this->word('months') === '24' ? 24 : 12,
            app(TradeClock::class)->now(),
        );
    }
}
