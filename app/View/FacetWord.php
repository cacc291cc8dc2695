<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Time\Instant;
use App\Queries\Roll\DayRange;
use App\Queries\Roll\Facet;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Support\Dates;
use LogicException;

/** One further condition of the Roll's sentence, in words, and the address of the sentence without it. */
final readonly class FacetWord
{
    private function __construct(public string $told, public string $without)
    {
    }

    /**
     * @param  array<int, string>  $labels  of words, by id
     * @return list<self>
     */
    public static function of(RollFilter $filter, array $labels, Words $words): array
    {
        $told =
            $filter->text === '' ? [] : [new self($words->say('roll.with', ['text' => $filter->text]), $filter->address(['q' => null]))];
        foreach (Facet::cases() as $facet) {
            $value = $filter->facet($facet);
            if ($value === null) {
                continue;
            }
            $said = implode(
                $words->say('roll.or'),
                array_map(fn (string $one): string => self::said($facet, $one, $labels, $words), $facet->values($value)),
            );
            $told[] = new self($words->say('roll.facet.'.$facet->value, ['value' => $said]), $filter->address([$facet->value => null]));
        }

        if ($filter->isStarted()) {
            $told[] = new self(
                $words->say('roll.from', [
                    'start' => $filter->sort === Sort::Name ? $filter->from : Dates::full(Instant::of($filter->from)),
                ]),
                $filter->address(),
            );
        }

        return $told;
    }

    /** `between 1 Oct 2026 and 31 Dec 2026`, `before 1 Jan 2027`, `after 30 Sep 2026`. */
    public static function days(DayRange $range, Words $words): string
    {
        return match (true) {
            $range->from === null => $words->say('roll.days.before', [
                'day' => Dates::full($range->to?->plusDays(1) ?? throw new LogicException('a range without either end')),
            ]),
            $range->to === null => $words->say('roll.days.after', ['day' => Dates::full($range->from->plusDays(-1))]),
            $range->from->agreesWith($range->to) => $words->say('roll.days.on', ['day' => Dates::full($range->from)]),
            default => $words->say('roll.days.between', ['from' => Dates::full($range->from), 'to' => Dates::full($range->to)]),
        };
    }

    /** @param  array<int, string>  $labels */
    private static function said(Facet $facet, string $value, array $labels, Words $words): string
    {
        return match ($facet) {
            Facet::Phase, Facet::Intent, Facet::Lock, Facet::Disclosure => $words->sayOr("words.{$facet->value}.{$value}", $value),
            Facet::Held, Facet::AutoRenew => $words->sayOr("roll.choice.{$facet->value}.{$value}", $value),
            Facet::Finding => $words->sayOr('roll.finding.'.str_replace('.', '_', $value), $value),
            Facet::Word => $labels[(int) $value] ?? $value,
            Facet::Created => self::created($value, $words),
            Facet::Suffix, Facet::Server, Facet::Registrant, Facet::Contact => $value,
        };
    }

    private static function created(string $value, Words $words): string
    {
        $range = DayRange::read($value);

        return $range === null || ! str_contains($value, '..')
            ? $words->say('roll.days.in', ['year' => $value])
            : self::days($range, $words);
    }
}
