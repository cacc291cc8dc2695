<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Delegation\ServerNames;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Lists\Amount;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListNumber;

/**
 * Guesses what each column of a list is: by its heading where what stands below bears it out, otherwise by what stands
 * below alone. A person corrects it.
 */
final class MatchColumns
{
    /** So many of a column's values must be what its heading says, or what is guessed without one; the rest are those lines' own faults. */
    private const BEARS_OUT = 0.2;

    private const PROVES = 0.6;

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $samples  rows
     * @return list<ImportField> one a column
     */
    public function handle(array $headings, array $samples): array
    {
        $values = [];
        foreach (array_keys($headings) as $column) {
            $values[$column] = array_values(
                array_filter(
                    array_map(fn (array $row): string => $row[$column] ?? '', $samples),
                    fn (string $value): bool => $value !== '',
                ),
            );
        }
        $found = [];
        foreach ($headings as $column => $heading) {
            $found[$column] = $this->byHeading($heading, $values[$column], $found) ?? ImportField::Raw;
        }
        foreach ([ImportField::Name, ImportField::Mailbox, ImportField::Servers, ImportField::Statuses] as $field) {
            foreach ($headings as $column => $heading) {
                if (
                    $found[$column] === ImportField::Raw &&
                    ! in_array($field, $found, true) &&
                    $values[$column] !== [] &&
                    $this->fits($field, $values[$column])
                ) {
                    $found[$column] = $field;
                }
            }
        }

        if (! in_array(ImportField::Name, $found, true)) {
            // Where no value is a name at all, the heading is what there is; each line then says what is wrong with it.
            foreach ($headings as $column => $heading) {
                if ($found[$column] === ImportField::Raw && in_array(self::plain($heading), ImportField::Name->headings(), true)) {
                    $found[$column] = ImportField::Name;
                    break;
                }
            }
        }

        return array_values($this->dates($found, $values));
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

        // Where each of them reads the same there is nothing to mistake.
        foreach ($values as $value) {
            if (count(array_unique(array_map(fn (DateOrder $order): ?string => $order->read($value), $orders))) > 1) {
                return $orders;
            }
        }

        return in_array(DateOrder::YearMonthDay, $orders, true) ? [DateOrder::YearMonthDay] : $orders;
    }

    /**
     * @param  list<string>  $values
     * @param  array<int, ImportField>  $taken
     */
    private function byHeading(string $heading, array $values, array $taken): ?ImportField
    {
        $plain = self::plain($heading);
        foreach (ImportField::cases() as $field) {
            if (
                in_array($plain, $field->headings(), true) &&
                ($field->mayRepeat() || ! in_array($field, $taken, true)) &&
                ($values === [] || $field === ImportField::Statuses || $this->fits($field, $values, self::BEARS_OUT))
            ) {
                // Registrars' own words stand among statuses, so that heading is believed.
                return $field;
            }
        }

        return null;
    }

    /**
     * Dates under headings that say nothing: the earliest on the whole is when names were registered, the latest when they end.
     *
     * @param  array<int, ImportField>  $found
     * @param  array<int, list<string>>  $values
     * @return array<int, ImportField>
     */
    private function dates(array $found, array $values): array
    {
        $means = [];
        foreach ($found as $column => $field) {
            if (
                $field === ImportField::Raw &&
                $values[$column] !== [] &&
                ! ctype_digit(implode('', $values[$column])) &&
                $this->fits(ImportField::Ends, $values[$column])
            ) {
                $order = DateOrder::provenBy($values[$column])[0];
                $days = array_filter(array_map(fn (string $value): ?string => $order->read($value), $values[$column]), is_string(...));
                $means[$column] =
                    array_sum(array_map(fn (string $day): int => (int) strtotime($day.' UTC'), $days)) / max(1, count($days));
            }
        }
        asort($means);
        $wanted = array_values(
            array_filter([ImportField::Ends, ImportField::Created], fn (ImportField $field): bool => ! in_array($field, $found, true)),
        );
        foreach ($wanted as $field) {
            $column = $field === ImportField::Ends ? array_key_last($means) : array_key_first($means);
            if ($column !== null) {
                $found[$column] = $field;
                unset($means[$column]);
            }
        }

        return $found;
    }

    /** @param  non-empty-list<string>  $values */
    private function fits(ImportField $field, array $values, float $share = self::PROVES): bool
    {
        $is = match ($field) {
            ImportField::Name => self::isName(...),
            ImportField::Created, ImportField::Ends, ImportField::Moved => self::isDate(...),
            ImportField::Mailbox => fn (string $value): bool => filter_var($value, FILTER_VALIDATE_EMAIL) !== false,
            ImportField::Intent,
            ImportField::Lock,
            ImportField::Disclosure => fn (string $value): bool => ReadRow::isEither($field, $value),
            ImportField::Renewal => fn (string $value): bool => Amount::read($value, 'SEK') !== null || ListNumber::read($value) !== null,
            ImportField::Currency => fn (string $value): bool => Amount::currency($value, 'SEK') !== null,
            ImportField::Servers => self::isServers(...),
            ImportField::Statuses => fn (string $value): bool => Status::read($value) !== null,
            default => fn (): bool => true,
        };

        return count(array_filter($values, $is)) >= $share * count($values);
    }

    private static function plain(string $heading): string
    {
        return (string) preg_replace('/[^\p{L}\p{N}]+/u', '', mb_strtolower($heading));
    }

    private static function isName(string $value): bool
    {
        try {
            return str_contains($value, '.') && ! self::isDate($value) && DomainName::of($value)->findings() === [];
        } catch (NameError) {
            return false;
        }
    }

    private static function isDate(string $value): bool
    {
        return array_filter(DateOrder::cases(), fn (DateOrder $order): bool => $order->read($value) !== null) !== [];
    }

    private static function isServers(string $value): bool
    {
        try {
            return ServerNames::read($value) !== [] && str_contains($value, '.') && ! self::isDate($value);
        } catch (NameError) {
            return false;
        }
    }
}
