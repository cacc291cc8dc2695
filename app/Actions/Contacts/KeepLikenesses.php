<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Illuminate\Database\Connection;

/** Counts the contacts that are called alike, so that the page of possible duplicates costs the same however many contacts there are. */
final readonly class KeepLikenesses
{
    private const COUNTED = <<<'SQL'
        SELECT v.likeness, count(DISTINCT v.contact_id) AS contacts, count(DISTINCT s.registrar_id) AS registrars
        FROM contact_versions v
        JOIN contacts c ON c.id = v.contact_id AND c.merged_into IS NULL
        LEFT JOIN roles o ON o.contact_id = v.contact_id AND upper_inf(o.span)
        LEFT JOIN standings s ON s.name_id = o.name_id
        SQL;

    public function __construct(private Connection $database)
    {
    }

    /**
     * After these have changed.
     *
     * @param  list<string>  $likenesses
     */
    public function of(array $likenesses): void
    {
        if ($likenesses === []) {
            return;
        }
        $in = json_encode(array_values(array_unique($likenesses)), JSON_THROW_ON_ERROR);
        $this->put('v.likeness IN (SELECT json_array_elements_text(?::json))', $in);
        $this->database->delete(
            'DELETE FROM likenesses l WHERE l.likeness IN (SELECT json_array_elements_text(?::json)) AND 2 > (
                SELECT count(*) FROM contact_versions v JOIN contacts c ON c.id = v.contact_id AND c.merged_into IS NULL
                WHERE v.likeness = l.likeness AND v.likeness <> \'\' AND upper_inf(v.span)
             )',
            [$in],
        );
    }

    /** All of them: names may lie at other registrars since, and lists bring many at once. */
    public function all(): void
    {
        $many = "SELECT w.likeness FROM contact_versions w JOIN contacts d ON d.id = w.contact_id AND d.merged_into IS NULL
            WHERE upper_inf(w.span) AND w.likeness <> '' GROUP BY w.likeness HAVING count(*) > 1";
        $this->put("v.likeness IN ({$many})");
        $this->database->delete("DELETE FROM likenesses WHERE likeness NOT IN ({$many})");
    }

    private function put(string $which, string ...$with): void
    {
        $this->database->statement(
            'INSERT INTO likenesses (likeness, contacts, registrars) '.self::COUNTED.
            " WHERE upper_inf(v.span) AND v.likeness <> '' AND {$which}
             GROUP BY v.likeness HAVING count(DISTINCT v.contact_id) > 1 ORDER BY v.likeness
             ON CONFLICT (likeness) DO UPDATE SET (contacts, registrars) = (excluded.contacts, excluded.registrars)
             WHERE (likenesses.contacts, likenesses.registrars) IS DISTINCT FROM (excluded.contacts, excluded.registrars)",
            $with,
        );
    }
}
