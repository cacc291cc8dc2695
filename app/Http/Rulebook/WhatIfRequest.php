<?php

declare(strict_types=1);

namespace App\Http\Rulebook;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** Facts given in an address, to see what would happen to a name that had them; what makes no sense counts as not given, and is told. */
final class WhatIfRequest extends FormRequest
{
    use SignedIn;

    public function facts(DomainName $name, Instant $today): NameFacts
    {
        $created = $this->day('created') ?? $today->plusYears(-3);
        $ends = $this->day('ends') ?? $created->plusYears(4);

        return new NameFacts(
            $name,
            $created,
            $ends->isAfter($created) ? $ends : $created->plusYears(1),
            $this->day('moved'),
            intent: Intent::tryFrom($this->word('intent')) ?? Intent::WhenTold,
        );
    }

    public function terms(): LateTerms
    {
        return new LateTerms($this->isLead() ? (int) $this->word('lead') : 0);
    }

    /** What a field says: what was typed there, as far as it can hold that, else what is drawn. */
    public function said(string $key, Instant|int|null $drawn): string
    {
        return match (true) {
            is_int($drawn) => $this->word($key) === '' ? (string) $drawn : $this->word($key),
            default => ($this->day($key) ?? $drawn)?->date() ?? '',
        };
    }

    /** @return list<string> what was given and can't be drawn, and why */
    public function refused(): array
    {
        $said = [];
        foreach (['created', 'ends', 'moved'] as $key) {
            try {
                if ($this->word($key) !== '') {
                    Instant::of($this->word($key));
                }
            } catch (TimeError $e) {
                $said[] = $e->getMessage();
            }
        }
        [$created, $ends] = [$this->day('created'), $this->day('ends')];
        if ($created !== null && $ends !== null && ! $ends->isAfter($created)) {
            $said[] = TimeError::emptySpan($created, $ends)->getMessage();
        }

        return $this->word('lead') === '' || $this->isLead()
            ? $said
            : [...$said, __('rulebook.no_lead', ['given' => $this->word('lead'), 'most' => (string) LateTerms::MOST_LEAD])];
    }

    private function isLead(): bool
    {
        return preg_match('/^\d{1,2}$/D', $this->word('lead')) === 1 && (int) $this->word('lead') <= LateTerms::MOST_LEAD;
    }

    private function day(string $key): ?Instant
    {
        try {
            return Instant::of($this->word($key))->toDay();
        } catch (TimeError) {
            return null;
        }
    }
}
