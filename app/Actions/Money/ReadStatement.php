<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Time\Instant;
use Acre\Wire\Lists\Cell;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use App\Actions\Imports\AmountRead;
use App\Actions\Imports\OpenedList;
use App\Actions\Imports\RefusedRow;
use App\View\Words;

/** Reads a registrar's statement of an account, from CSV or a spreadsheet: a line for each thing that was charged or paid in. */
final readonly class ReadStatement
{
    private const MOST = 20_000;

    private const SECONDS = 20;

    /** What is paid in, and not charged (common practice). */
    private const PAID_IN = '/top.?up|deposit|payment|credit|refund|einzahl|gutschrift|aufladung|versement|abono|ricarica/u';

    public function __construct(private Words $words)
    {
    }

    /**
     * @param  string  $currency  ISO 4217, of amounts that name none
     * @param  DateOrder|null  $order  null: as its own dates prove it
     *
     * @throws ListError when it is no list, or none of charges, or its dates can be read in two ways
     */
    public function handle(string $path, string $currency, ?DateOrder $order): Statement
    {
        $list = OpenedList::open($path, rows: self::MOST + 1, seconds: self::SECONDS);
        $columns = $this->columns($list->hasHeadings ? $list->headings : []);
        $rows = [];
        foreach ($list->rows() as $row) {
            $rows[] = $row;
            if (count($rows) > self::MOST) {
                throw ListError::told($this->words->say('registrars.list.too_many', ['limit' => number_format(self::MOST)]));
            }
        }
        $order ??= $this->order($rows, $columns);
        $lines = $refused = $seen = [];
        foreach ($rows as $row) {
            try {
                $line = $this->line($row, $columns, $currency, $order, $seen);
                $lines[] = $line;
            } catch (RefusedRow $e) {
                $refused[$row->line] = $e->getMessage();
            }
        }

        return new Statement($lines, $refused);
    }

    /**
     * @param  list<string>  $headings
     * @return array<string, int> by what the column is; the first of several counts
     */
    private function columns(array $headings): array
    {
        $columns = [];
        foreach ($headings as $column => $heading) {
            $is = StatementColumn::of($heading);
            if ($is !== null) {
                $columns[$is->value] ??= $column;
            }
        }
        $hasSum = isset($columns[StatementColumn::Amount->value]) || isset($columns[StatementColumn::Charged->value]);
        if (! isset($columns[StatementColumn::Day->value]) || ! $hasSum) {
            throw ListError::told($this->words->say('money.statement.no_columns'));
        }

        return $columns;
    }

    /**
     * @param  list<ListRow>  $rows
     * @param  array<string, int>  $columns
     */
    private function order(array $rows, array $columns): DateOrder
    {
        $days = array_map(fn (ListRow $row): string => self::cell($row, $columns, StatementColumn::Day), $rows);
        $possible = DateOrder::provenBy($days);
        $meant = array_values(array_filter($possible, fn (DateOrder $one): bool => $one !== DateOrder::YearMonthDay));

        return match (true) {
            count($possible) === 1 => $possible[0],
            // Written as year, month, day, either of the others reads them too.
            in_array(DateOrder::YearMonthDay, $possible, true) => DateOrder::YearMonthDay,
            count($meant) === 1 => $meant[0],
            // Who writes dots puts the day first (common practice).
            self::areDotted($days) && in_array(DateOrder::DayMonthYear, $possible, true) => DateOrder::DayMonthYear,
            default => throw ListError::told($this->words->say('money.statement.which_order')),
        };
    }

    /** @param  list<string>  $days */
    private static function areDotted(array $days): bool
    {
        return array_filter($days, fn (string $day): bool => $day !== '' && preg_match('/^\d{1,2}\.\d/', $day) !== 1) === [];
    }

    /**
     * @param  array<string, int>  $columns
     * @param  array<string, int>  $seen  how often a line like it has come before
     *
     * @throws RefusedRow
     */
    private function line(ListRow $row, array $columns, string $currency, DateOrder $order, array &$seen): StatementLine
    {
        $day = self::cell($row, $columns, StatementColumn::Day);
        $on = $order->read($day) ?? throw RefusedRow::because('date', $day);
        $amount = $this->amount($row, $columns, $currency);
        $words = mb_substr(self::cell($row, $columns, StatementColumn::Words), 0, 500);
        $name = $this->name(self::cell($row, $columns, StatementColumn::Name)) ?? $this->nameIn($words);
        $reference = mb_substr(self::cell($row, $columns, StatementColumn::Reference), 0, 100);
        // One order can stand on several lines, and lines without a number are told apart by what they say, and by how often they say it.
        $like = hash('xxh128', "{$reference} {$on} {$amount->decimal()} {$amount->currency} {$name} {$words}");
        $seen[$like] = ($seen[$like] ?? 0) + 1;

        return new StatementLine(Instant::of($on), $amount, $name, $words, "statement {$like} {$seen[$like]}");
    }

    /**
     * @param  array<string, int>  $columns
     *
     * @throws RefusedRow
     */
    private function amount(ListRow $row, array $columns, string $currency): Money
    {
        $sign = -1;
        $of = StatementColumn::Charged;
        if (self::cell($row, $columns, StatementColumn::PaidIn) !== '') {
            [$sign, $of] = [1, StatementColumn::PaidIn];
        } elseif (self::cell($row, $columns, StatementColumn::Charged) === '') {
            $of = StatementColumn::Amount;
        }
        $column = $columns[$of->value] ?? -1;
        $value = str_replace(["\u{2212}", '–'], '-', Cell::plain($row->cell($column)));
        if ($of === StatementColumn::Amount) {
            // Charges stand below nothing, or in brackets; without a sign the words say what it is.
            $isBelow = preg_match('/^(-.*|.*-|\(.*\))$/D', trim($value)) === 1;
            $words = mb_strtolower(self::cell($row, $columns, StatementColumn::Words));
            $isIn = preg_match(self::PAID_IN, $words) === 1;
            $sign = $isBelow || ! $isIn ? -1 : 1;
        }

        return AmountRead::of(
            (string) preg_replace('/^[-(\s]+|[-)\s]+$/u', '', $value),
            $row->isNumber($column) && ! str_contains($value, '-'),
            self::cell($row, $columns, StatementColumn::Currency),
            $currency,
        )->times($sign);
    }

    private function name(string $typed): ?string
    {
        try {
            $name = trim($typed) === '' ? null : DomainName::of(trim($typed));

            return $name !== null && str_contains($name->ascii, '.') ? $name->ascii : null;
        } catch (NameError) {
            return null;
        }
    }

    private function nameIn(string $words): ?string
    {
        preg_match_all('/(?<![\p{L}\p{N}@.-])[\p{L}\p{N}][\p{L}\p{N}-]*(?:\.[\p{L}\p{N}-]+)*\.\p{L}{2,}/u', $words, $found);
        foreach ($found[0] as $one) {
            $name = $this->name($one);
            if ($name !== null) {
                return $name;
            }
        }

        return null;
    }

    /** @param  array<string, int>  $columns */
    private static function cell(ListRow $row, array $columns, StatementColumn $of): string
    {
        return trim(Cell::plain($row->cell($columns[$of->value] ?? -1)));
    }
}
