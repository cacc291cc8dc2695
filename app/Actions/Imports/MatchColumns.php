<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Lists\DateOrder;

/** Guesses what each column of a list is, by its heading and then by what stands in it. A person corrects it. */
final class MatchColumns
{
    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $samples  rows
     * @return list<ImportField> one a column
     */
    public function handle(array $headings, array $samples): array
    {
        $found = [];
        foreach ($headings as $column => $heading) {
            $found[$column] = $this->byHeading($heading, $found) ?? ImportField::Raw;
        }
        foreach ($headings as $column => $heading) {
            if ($found[$column] !== ImportField::Raw) {
                continue;
            }
            $values = array_values(array_filter(array_map(fn (array $row): string => $row[$column] ?? '', $samples), fn (string $value): bool => $value !== ''));
            $guess = $values === [] ? null : $this->byContent($values);
            if ($guess !== null && ! in_array($guess, $found, true)) {
                $found[$column] = $guess;
            }
        }

        return array_values($found);
    }

    /**
     * The orders of day, month and year that the date columns' own values allow; more than one has to be asked about.
     *
     * @param  list<ImportField>  $columns
     * @param  list<list<string>>  $samples
     * @return list<DateOrder>
     */
    public function orders(array $columns, array $samples): array
    {
        $values = [];
        foreach ($columns as $column => $field) {
            if ($field->isDate()) {
                $values = [...$values, ...array_map(fn (array $row): string => $row[$column] ?? '', $samples)];
            }
        }

        $orders = DateOrder::provenBy($values);

        // Where the year stands first there is nothing to mistake.
        return in_array(DateOrder::YearMonthDay, $orders, true) ? [DateOrder::YearMonthDay] : $orders;
    }

    /** @param  array<int, ImportField>  $taken */
    private function byHeading(string $heading, array $taken): ?ImportField
    {
        $plain = (string) preg_replace('/[^\p{L}\p{N}]+/u', '', mb_strtolower($heading));
        foreach (ImportField::cases() as $field) {
            if (in_array($plain, $field->headings(), true) && ($field->mayRepeat() || ! in_array($field, $taken, true))) {
                return $field;
            }
        }

        return null;
    }

    /** @param  non-empty-list<string>  $values */
    private function byContent(array $values): ?ImportField
    {
        $all = fn (callable $is): bool => count(array_filter($values, $is)) >= 0.8 * count($values);

        return match (true) {
            $all(fn (string $value): bool => filter_var($value, FILTER_VALIDATE_EMAIL) !== false) => ImportField::Mailbox,
            $all(fn (string $value): bool => Status::read($value) !== null) => ImportField::Statuses,
            $all($this->isName(...)) => ImportField::Name,
            default => null,
        };
    }

    private function isName(string $value): bool
    {
        try {
            return DateOrder::provenBy([$value]) !== [] && DomainName::of($value)->findings() === [] && DateOrder::DayMonthYear->read($value) === null;
        } catch (NameError) {
            return false;
        }
    }
}
