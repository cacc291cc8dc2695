<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * How many names carry a mark, as PostgreSQL's statistics have it: enough to tell what is cheap to count from what is so common that a page
 * must not count it.
 */
final class Frequencies
{
    /** @var array<string, float>|null share of the names by mark, of the commonest */
    private ?array $shares = null;

    private float $names = 0;

    public function __construct(private readonly Connection $database)
    {
    }

    /** @return int about so many; 0: few, or nobody has counted yet */
    public function about(string $mark): int
    {
        if ($this->shares === null) {
            $row = Row::of(
                $this->database->selectOne(
                    "SELECT c.reltuples AS names, coalesce(to_json(s.most_common_elems::text::text[]), '[]') AS marks,
                        coalesce(to_json(s.most_common_elem_freqs), '[]') AS shares
                     FROM pg_class c LEFT JOIN pg_stats s ON s.schemaname = 'public' AND s.tablename = c.relname AND s.attname = 'marks'
                     WHERE c.oid = 'standings'::regclass",
                ),
            );
            $marks = array_values(array_filter($row->json('marks'), is_string(...)));
            // Behind them stand the least and the greatest share, and that of none.
            $shares = array_slice(array_values(array_filter($row->json('shares'), is_numeric(...))), 0, count($marks));
            $this->shares = array_map(floatval(...), array_combine($marks, $shares));
            $this->names = max(0.0, (float) $row->text('names'));
        }

        return (int) round(($this->shares[$mark] ?? 0) * $this->names);
    }
}
