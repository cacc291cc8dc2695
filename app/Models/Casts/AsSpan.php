<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use UnexpectedValueException;

/**
 * A tstzrange column as a Span.
 *
 * @implements CastsAttributes<Span, Span>
 */
final class AsSpan implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): Span
    {
        return self::read(is_string($value) ? $value : '');
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::write($value instanceof Span ? $value : throw new UnexpectedValueException("{$key} takes a Span."));
    }

    /** As PostgreSQL writes it: `["2026-10-06 00:00:00+00",)` */
    public static function read(string $range): Span
    {
        if (preg_match('/^[\[(]"?([^",]*)"?,"?([^",)\]]*)"?[)\]]$/', $range, $ends) !== 1) {
            throw new UnexpectedValueException("Not a range of time: {$range}");
        }

        return Span::of(self::end($ends[1]), self::end($ends[2]));
    }

    public static function write(Span $span): string
    {
        return '['.($span->from?->isoSecond() ?? '').','.($span->until?->isoSecond() ?? '').')';
    }

    private static function end(string $text): ?Instant
    {
        if ($text === '' || str_contains($text, 'infinity')) {
            return null;
        }
        $instant = Instant::of($text);

        return $instant->epoch % 86_400 === 0 ? $instant->toDay() : $instant;
    }
}
