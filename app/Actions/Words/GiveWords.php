<?php

declare(strict_types=1);

namespace App\Actions\Words;

use App\Support\Row;
use Illuminate\Database\Connection;

/** Gives words to names and takes them away; a word that nobody has used yet is made. The standings are the caller's to make again. */
final readonly class GiveWords
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @param  list<string>  $labels
     */
    public function give(array $nameIds, array $labels): void
    {
        $list = self::list($labels);
        $this->make($labels);
        $this->database->statement(
            'INSERT INTO name_words (name_id, word_id) SELECT n, w.id FROM unnest(?::bigint[]) AS n, words w
                WHERE lower(w.label) IN (SELECT lower(json_array_elements_text(?::json))) ON CONFLICT DO NOTHING',
            ['{'.implode(',', $nameIds).'}', $list],
        );
    }

    /** @param  array<array-key, mixed>  $labels */
    public function make(array $labels): void
    {
        // Until they are given, or the transaction is over, nobody forgets them.
        $this->database->select("SELECT pg_advisory_xact_lock_shared(hashtext('words'))");
        $this->database->statement(
            'INSERT INTO words (label) SELECT label FROM json_array_elements_text(?::json) AS label ORDER BY lower(label)
                ON CONFLICT DO NOTHING',
            [self::list(array_values(array_filter($labels, is_string(...))))],
        );
    }

    /**
     * @param  list<int>  $nameIds
     * @param  list<string>  $labels
     */
    public function take(array $nameIds, array $labels): void
    {
        $this->database->statement(
            'DELETE FROM name_words WHERE name_id = ANY (?::bigint[])
                AND word_id IN (SELECT id FROM words WHERE lower(label) IN (SELECT lower(json_array_elements_text(?::json))))',
            ['{'.implode(',', $nameIds).'}', self::list($labels)],
        );
    }

    /**
     * Forgets those that no name has. In a transaction of its own: it waits for all who give words.
     *
     * @param  list<string>  $labels
     */
    public function forget(array $labels): void
    {
        $this->database->transaction(function () use ($labels): void {
            $this->database->select("SELECT pg_advisory_xact_lock(hashtext('words'))");
            $this->database->delete(
                'DELETE FROM words w WHERE lower(label) IN (SELECT lower(json_array_elements_text(?::json)))
                    AND NOT EXISTS (SELECT FROM name_words x WHERE x.word_id = w.id)',
                [self::list($labels)],
            );
        });
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, list<string>> the words of each name that has any
     */
    public function of(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT x.name_id, w.label FROM name_words x JOIN words w ON w.id = x.word_id WHERE x.name_id = ANY (?::bigint[])
                ORDER BY lower(w.label)',
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('name_id')][] = $row->text('label');
        }

        return $found;
    }

    /** @param  list<string>  $labels */
    private static function list(array $labels): string
    {
        return json_encode($labels, JSON_THROW_ON_ERROR);
    }
}
