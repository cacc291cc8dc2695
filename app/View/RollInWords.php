<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Word;
use App\Queries\Roll\Ending;
use App\Queries\Roll\RollFilter;
use Illuminate\Database\Connection;

/** A sentence of the Roll as a line of text, for pages that point at it. */
final readonly class RollInWords
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    /** `held for Marrow Choir, at Skerry, ending within 30 days, lock off`; `every name` where nothing narrows it. */
    public function say(RollFilter $sentence): string
    {
        $told = array_filter(
            [
                $this->named('roll.held_for', 'clients', 'name', $sentence->client),
                $this->named('roll.at', 'registrars', 'name', $sentence->registrar),
                $this->named('roll.at_account', 'accounts', 'number', $sentence->account),
                $sentence->ending === Ending::Any ? null : $this->words->say('roll.ending.'.$sentence->ending->value),
                $sentence->endsIn === null
                    ? null
                    : $this->words->say('roll.ends_in', ['days' => FacetWord::days($sentence->endsIn, $this->words)]),
                ...array_map(fn (FacetWord $facet): string => $facet->told, FacetWord::of($sentence, Word::labels(), $this->words)),
            ],
            is_string(...),
        );

        return $told === [] ? $this->words->say('roll.every_name') : implode(', ', $told);
    }

    private function named(string $says, string $table, string $column, ?int $id): ?string
    {
        $value = $id === null ? null : $this->database->table($table)->where('id', $id)->value($column);

        return is_string($value) ? $this->words->say($says, ['value' => $value]) : null;
    }
}
