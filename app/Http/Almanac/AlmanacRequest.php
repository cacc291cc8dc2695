<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use Acre\Core\Balance\WhatIf;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Models\Account;
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
            $this->names('let-go'),
            preg_match('/^([1-9]|10)$/D', $this->word('years')) === 1 ? (int) $this->word('years') : 1,
        );
    }

    /** @return array<string, true> names as they are typed or pasted; what is none is left out */
    private function names(string $key): array
    {
        $names = [];
        $typed = preg_split('/[\s,;]+/u', mb_substr($this->word($key), 0, self::LONGEST), self::MOST, PREG_SPLIT_NO_EMPTY);
        foreach ($typed === false ? [] : $typed as $one) {
            try {
                $names[DomainName::of($one)->ascii] = true;
            } catch (NameError) {
                continue;
            }
        }

        return $names;
    }

    /** A part that lies outside of what is asked for is none. */
    private function zoom(Instant $now, int $months): ?Instant
    {
        $from = preg_match('/^20\d\d-(0[1-9]|1[0-2])$/D', $this->word('zoom')) === 1 ? Instant::of($this->word('zoom').'-01') : null;

        $isWithin = $from?->isBefore($now->toDay()->plusMonths($months)) === true && $from->plusMonths(Asked::ZOOM)->isAfter($now);

        return $isWithin ? $from : null;
    }

    /** An account that is none of ours is as good as none. */
    private function moveTo(): ?int
    {
        $id = preg_match('/^[1-9]\d{0,17}$/D', $this->word('move-to')) === 1 ? (int) $this->word('move-to') : null;

        return $id !== null && Account::query()->whereKey($id)->where('access', 'ours')->exists() ? $id : null;
    }

    public function asked(): Asked
    {
        $now = app(TradeClock::class)->now();
        $months = in_array($this->word('months'), ['24', '36'], true) ? (int) $this->word('months') : 12;

        return new Asked(
            Scope::read($this->word('of')) ?? Scope::all(),
            $this->word('count') === 'every',
            $this->word('top-ups') !== 'none',
            $months,
            $now,
            $this->whatIf(),
            $this->zoom($now, $months),
            $this->moveTo(),
            $this->names('moved'),
        );
    }
}
