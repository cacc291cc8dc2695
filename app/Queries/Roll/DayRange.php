<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use Illuminate\Database\Query\Builder;

/**
 * Days from one to another, both of them in it; one of the two may be open. In an address `2026-10-01..2026-12-31`,
 * `2026-10-01..`, `..2026-12-31`, or one day or one year alone.
 */
final readonly class DayRange
{
    private function __construct(public ?Instant $from, public ?Instant $to)
    {
    }

    /** @return self|null null: it is no such range, or it ends before it begins */
    public static function read(string $word): ?self
    {
        if (preg_match('/^((?:19|20)\d\d)$/D', $word) === 1) {
            return self::read("{$word}-01-01..{$word}-12-31");
        }
        $parts = explode('..', $word);
        if (count($parts) > 2 || trim(implode('', $parts)) === '') {
            return null;
        }
        try {
            [$from, $to] = array_map(fn (string $day): ?Instant => $day === '' ? null : self::day($day), [
                $parts[0],
                $parts[1] ?? $parts[0],
            ]);
        } catch (TimeError) {
            return null;
        }

        return $from !== null && $to !== null && $to->isBefore($from) ? null : new self($from, $to);
    }

    /** From the two fields of a form: the range as its word; empty where neither says anything, and what was typed where it is none. */
    public static function word(string $from, string $to): string
    {
        return $from === '' && $to === '' ? '' : "{$from}..{$to}";
    }

    public function toWord(): string
    {
        return self::word($this->from?->date() ?? '', $this->to?->date() ?? '');
    }

    public function narrow(Builder $query, string $column): void
    {
        if ($this->from !== null) {
            $query->where($column, '>=', $this->from->isoSecond());
        }
        if ($this->to !== null) {
            $query->where($column, '<', $this->to->plusDays(1)->isoSecond());
        }
    }

    /** @throws TimeError */
    private static function day(string $day): Instant
    {
        return preg_match('/^\d{4}-\d\d-\d\d$/D', $day) === 1 ? Instant::of($day) : throw TimeError::notADay($day);
    }
}
