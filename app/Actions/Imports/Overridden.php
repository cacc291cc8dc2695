<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The lines of a list that would change what a registry, or a registrar by wire, gave: somebody has to say why the list is right. */
final readonly class Overridden
{
    public function __construct(private Connection $database)
    {
    }

    public function count(Import $import): int
    {
        return Row::of(
            $this->database->selectOne(
                "SELECT count(*) AS lines FROM import_rows r JOIN names n ON n.ascii = r.ascii
                    JOIN registrations g ON g.name_id = n.id AND upper_inf(g.span)
             WHERE r.import_id = ? AND r.verdict = 'changed' AND EXISTS (
                SELECT FROM jsonb_array_elements(r.changes) AS c
                WHERE coalesce(g.sources -> (c ->> 0), g.sources -> (?::jsonb ->> (c ->> 0))) ->> 'from' IN ('directory', 'wire'))",
                [$import->id, json_encode(ImportedFacts::COLUMNS, JSON_THROW_ON_ERROR)],
            ),
        )->int('lines');
    }
}
