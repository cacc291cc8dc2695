<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Time\Instant;
use App\Queries\Roll\Facet;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Support\Dates;

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
        $told = $filter->text === '' ? [] : [new self($words->say('roll.with', ['text' => $filter->text]), $filter->address(['q' => null]))];
        foreach (Facet::cases() as $facet) {
            $value = $filter->facet($facet);
            if ($value === null) {
                continue;
            }
            $said = match ($facet) {
                Facet::Phase, Facet::Intent, Facet::Lock, Facet::Disclosure => $words->sayOr("words.{$facet->value}.{$value}", $value),
                Facet::Finding => $words->sayOr('roll.finding.'.str_replace('.', '_', $value), $value),
                Facet::Word => $labels[(int) $value] ?? $value,
                Facet::Suffix, Facet::Server, Facet::Registrant, Facet::Contact, Facet::Created => $value,
            };
            $told[] = new self($words->say('roll.facet.'.$facet->value, ['value' => $said]), $filter->address([$facet->value => null]));
        }

        if ($filter->isStarted()) {
            $told[] = new self($words->say('roll.from', ['start' => $filter->sort === Sort::Name ? $filter->from : Dates::full(Instant::of($filter->from))]), $filter->address());
        }

        return $told;
    }
}
