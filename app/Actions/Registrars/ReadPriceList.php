<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Lists\Cell;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use App\Actions\Imports\AmountRead;
use App\Actions\Imports\OpenedList;
use App\Actions\Imports\RefusedRow;
use App\View\Words;

/**
 * Reads a registrar's price list: a row for each price (suffix, action, amount), or a row for each suffix with a column for each action.
 */
final readonly class ReadPriceList
{
    private const MOST = 20_000;

    private const SECONDS = 20;

    /** What says that something isn't sold. */
    private const NONE = ['', '-', '–', '—', 'n/a', 'na'];

    public function __construct(private Words $words)
    {
    }

    /**
     * @param  string  $currency  ISO 4217, of amounts that name none
     *
     * @throws ListError when it is no list, or none of prices
     */
    public function handle(string $path, string $currency): PriceList
    {
        $list = OpenedList::open($path, rows: self::MOST + 1, seconds: self::SECONDS);
        $columns = $this->columns($list->hasHeadings ? $list->headings : []);
        $prices = $refused = [];
        $rows = 0;
        foreach ($list->rows() as $row) {
            if (++$rows > self::MOST) {
                throw ListError::told($this->words->say('registrars.list.too_many', ['limit' => number_format(self::MOST)]));
            }
            foreach ($this->row($row, $columns, $currency) as $key => $price) {
                if ($price instanceof RefusedRow) {
                    $refused[$row->line] = $price->getMessage();
                } elseif (isset($prices[$key]) && $prices[$key] !== $price) {
                    $refused[$row->line] = $this->words->say('registrars.list.twice', ['suffix' => $price['suffix']]);
                } else {
                    $prices[$key] = $price;
                }
            }
        }

        return new PriceList(array_values($prices), $refused);
    }

    /**
     * @param  list<string>  $headings
     * @return array<string, int> by what the column is; the first of several counts
     */
    private function columns(array $headings): array
    {
        $columns = [];
        foreach ($headings as $column => $heading) {
            $is = PriceListed::of($heading);
            if ($is !== null) {
                $columns[$is->value] ??= $column;
            }
        }
        $isLong = isset($columns[PriceListed::Action->value], $columns[PriceListed::Amount->value]);
        if (! isset($columns[PriceListed::Suffix->value]) || (! $isLong && $this->actions($columns) === [])) {
            throw ListError::told($this->words->say('registrars.list.no_columns'));
        }

        return $columns;
    }

    /**
     * @param  array<string, int>  $columns
     * @return array<string, int> by the action
     */
    private function actions(array $columns): array
    {
        return array_filter($columns, fn (string $key): bool => PriceListed::from($key)->action() !== null, ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param  array<string, int>  $columns
     * @return array<string, array{suffix: string, action: string, amount: string, currency: string}|RefusedRow> by suffix and action
     */
    private function row(ListRow $row, array $columns, string $currency): array
    {
        $cell = fn (PriceListed $of): string => Cell::plain($row->cell($columns[$of->value] ?? -1));
        $found = [];
        try {
            $suffix = $this->suffix($cell(PriceListed::Suffix));
            $actions = isset($columns[PriceListed::Action->value], $columns[PriceListed::Amount->value])
                ? [$this->action($cell(PriceListed::Action)) => $columns[PriceListed::Amount->value]]
                : $this->actions($columns);
        } catch (RefusedRow $e) {
            return ['' => $e];
        }
        foreach ($actions as $action => $column) {
            $value = Cell::plain($row->cell($column));
            if (in_array(mb_strtolower(trim($value)), self::NONE, true)) {
                continue;
            }
            try {
                $money = AmountRead::of($value, $row->isNumber($column), $cell(PriceListed::Currency), $currency);
                $found["{$suffix} {$action}"] = [
                    'suffix' => $suffix,
                    'action' => $action,
                    'amount' => $money->decimal(),
                    'currency' => $money->currency,
                ];
            } catch (RefusedRow $e) {
                $found["{$suffix} {$action}"] = $e;
            }
        }

        return $found;
    }

    private function suffix(string $value): string
    {
        try {
            return substr(DomainName::of('a.'.ltrim(trim($value), '.*'))->ascii, 2);
        } catch (NameError) {
            throw $this->refused('no_suffix', $value);
        }
    }

    private function action(string $value): string
    {
        return PriceListed::of($value)?->action()
            ?? throw $this->refused('no_action', $value);
    }

    private function refused(string $why, string $value): RefusedRow
    {
        return RefusedRow::saying(
            $this->words->say("registrars.list.{$why}", ['value' => mb_strimwidth($value, 0, 60, '…')]),
            $value,
        );
    }
}
