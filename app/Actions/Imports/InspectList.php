<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;

/** A first look into a list: its headings, its first rows, and what its columns are taken for. */
final readonly class InspectList
{
    private const SAMPLES = 200;

    /** As long as a person waits for it. */
    private const SECONDS = 30;

    public function __construct(private MatchColumns $match, private ImportHabits $habits)
    {
    }

    /**
     * @return array{shape: array{headings: list<string>, samples: list<list<string>>, habit: bool, has_headings: bool, names_columns: bool,
     *     sheets: list<string>, sheet: string, encoding: string|null}, matched: array{columns: list<string>, order?: string}}
     *
     * @throws ListError when it is no list
     */
    public function handle(string $path, ListOptions $options, int $registrarId): array
    {
        $file = OpenedList::open($path, $options, self::SAMPLES, self::SECONDS);
        $samples = [];
        foreach ($file->rows() as $row) {
            $samples[] = $row->cells;
        }
        $habit = $this->habits->recall($registrarId, $file->headings);
        $columns = $habit === null ? $this->match->handle($file->headings, $samples) : array_map(ImportField::from(...), $habit['columns']);
        $orders = $this->match->orders($columns, $samples);
        // Remembered is what a person said; what this file's own values prove goes before it.
        $order = count($orders) === 1 ? $orders[0]->value : $habit['order'] ?? null;

        return [
            'shape' => [
                'headings' => $file->headings,
                'samples' => $samples,
                'habit' => $habit !== null,
                'has_headings' => $file->hasHeadings,
                'names_columns' => $file->namesColumns,
                'sheets' => $file->sheets,
                'sheet' => $file->sheet,
                'encoding' => $options->encoding?->value,
            ],
            'matched' => ['columns' => array_column($columns, 'value')] + ($order === null ? [] : ['order' => $order]),
        ];
    }
}
