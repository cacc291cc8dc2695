<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\Imports\ImportField;

/** What a line of a list says, as its preview shows it. */
final readonly class ImportedFact
{
    public function __construct(private Words $words)
    {
    }

    public function label(string $field): string
    {
        return self::isChoice($field)
            ? lcfirst($this->words->say("roll.facet_label.{$field}"))
            : $this->words->say("imports.field.{$field}");
    }

    /** @param  mixed  $value  as it is kept: a text, a list, or texts by heading */
    public function value(string $field, mixed $value): string
    {
        // An amount and its currency.
        return is_array($value) && $field === ImportField::Renewal->value
            ? implode(' ', array_filter($value, is_string(...)))
            : $this->words->kept($field, $value);
    }

    private static function isChoice(string $field): bool
    {
        return in_array(ImportField::tryFrom($field), [ImportField::Intent, ImportField::Lock, ImportField::Disclosure], true);
    }
}
