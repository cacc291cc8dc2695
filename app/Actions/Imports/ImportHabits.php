<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What the columns of a registrar's lists were the last time that a person matched them; by their headings. */
final readonly class ImportHabits
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<string>  $headings
     * @return array{columns: list<string>, order?: string}|null
     */
    public function recall(int $registrarId, array $headings): ?array
    {
        $row = $this->database
            ->table('import_habits')
            ->where('registrar_id', $registrarId)
            ->where('headings', self::key($headings))
            ->first(['matched']);
        $matched = $row === null ? [] : Row::of($row)->json('matched');
        $columns = array_values(
            array_filter(
                is_array($matched['columns'] ?? null) ? $matched['columns'] : [],
                fn (mixed $field): bool => is_string($field) && ImportField::tryFrom($field) !== null,
            ),
        );

        return count($columns) !== count($headings)
            ? null
            : ['columns' => array_map(strval(...), $columns)] +
                    (is_string($matched['order'] ?? null) ? ['order' => $matched['order']] : []);
    }

    /** @param  bool  $orderWasAsked  whether a person said how the dates are written; what was proven or guessed is not remembered */
    public function remember(Import $import, bool $orderWasAsked): void
    {
        $matched = $orderWasAsked ? $import->matched : array_diff_key($import->matched, ['order' => 1]);
        $this->database
            ->table('import_habits')
            ->upsert(
                [
                    [
                        'registrar_id' => $import->registrar_id,
                        'headings' => self::key($import->shape['headings']),
                        'matched' => json_encode($matched, JSON_THROW_ON_ERROR),
                        'updated_at' => gmdate('c'),
                    ],
                ],
                ['registrar_id', 'headings'],
                ['matched', 'updated_at'],
            );
    }

    /** @param  list<string>  $headings */
    private static function key(array $headings): string
    {
        return hash('sha256', json_encode(array_map(mb_strtolower(...), $headings), JSON_THROW_ON_ERROR));
    }
}
