<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use Acre\Core\Balance\WhatIf;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Http\SignedIn;
use App\Queries\Almanac\Asked;
use App\Queries\Almanac\Scope;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;

/** What the Almanac's address asks for; what is mangled in it shows the page as it usually is. */
final class AlmanacRequest extends FormRequest
{
    use SignedIn;

    /** Characters, and names, that can be typed to be let go. */
    private const LONGEST = 4_000;

    private const MOST = 300;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    private function whatIf(): WhatIf
    {
        $percent = str_replace(',', '.', trim($this->word('rise'), " %\u{A0}"));
        $isRise = preg_match('/^-?\d{1,3}(\.\d{1,2})?$/D', $percent) === 1 && (float) $percent > -100.0 && (float) $percent !== 0.0;

        return new WhatIf(
            $isRise ? $percent : null,
            $this->day('rise-from'),
            $this->letGo(),
            preg_match('/^([1-9]|10)$/D', $this->word('years')) === 1 ? (int) $this->word('years') : 1,
        );
    }

    /** @return array<string, true> names as they are typed or pasted; what is none is left out */
    private function letGo(): array
    {
        $names = [];
        $typed = preg_split('/[\s,;]+/u', mb_substr($this->word('let-go'), 0, self::LONGEST), self::MOST, PREG_SPLIT_NO_EMPTY);
        foreach ($typed === false ? [] : $typed as $one) {
            try {
                $names[DomainName::of($one)->ascii] = true;
            } catch (NameError) {
                continue;
            }
        }

        return $names;
    }

    public function asked(): Asked
    {
        return new Asked(
            Scope::read($this->word('of')) ?? Scope::all(),
            $this->word('count') === 'every',
            $this->word('top-ups') !== 'none',
            in_array($this->word('months'), ['24', '36'], true) ? (int) $this->word('months') : 12,
            app(TradeClock::class)->now(),
            $this->whatIf(),
        );
    }
}
