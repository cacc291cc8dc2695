<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\Rings;
use App\Actions\Standings\MakeStandings;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Finds names whose registrants' mailboxes lie in one another, over the whole Roll, and marks those for which that has changed. */
final readonly class FindRings
{
    private const TOGETHER = 10_000;

    public function __construct(private Connection $database, private MakeStandings $standings)
    {
    }

    /** @return int in how many names */
    public function handle(): int
    {
        return $this->database->transaction(function (): int {
            $this->database->statement("SELECT pg_advisory_xact_lock(hashtext('rings'))");
            $leads = [];
            $from = 0;
            do {
                // Only mailboxes in names of the Roll lead anywhere.
                $rows = Row::all(
                    $this->database->select(
                        "SELECT o.name_id, n.id AS site_id FROM roles o JOIN contact_versions v ON v.contact_id = o.contact_id
                            AND upper_inf(v.span) JOIN mailboxes m ON m.id = v.mailbox_id AND m.site <> '' JOIN names n ON n.ascii = m.site
                     WHERE o.role = 'registrant' AND upper_inf(o.span) AND o.name_id > ? ORDER BY o.name_id LIMIT ?",
                        [$from, self::TOGETHER],
                    ),
                );
                foreach ($rows as $row) {
                    $leads[($from = $row->int('name_id'))] = $row->int('site_id');
                }
            } while (count($rows) === self::TOGETHER);
            $members = [];
            foreach (Rings::of($leads) as $number => $ring) {
                foreach ($ring as $place => $name) {
                    $members[] = ['name_id' => (int) $name, 'ring' => $number, 'place' => $place, 'size' => count($ring)];
                }
            }
            $this->keep($members);

            return count($members);
        });
    }

    /** @param  list<array{name_id: int, ring: int, place: int, size: int}>  $members */
    private function keep(array $members): void
    {
        $as = 'json_populate_recordset(NULL::ring_members, ?::json)';
        $json = json_encode($members, JSON_THROW_ON_ERROR);
        $this->standings->staleNames(
            array_map(
                fn (Row $row): int => $row->int('name_id'),
                Row::all(
                    $this->database->select(
                        "SELECT coalesce(o.name_id, n.name_id) AS name_id FROM ring_members o
                            FULL JOIN {$as} n ON n.name_id = o.name_id WHERE o.size IS DISTINCT FROM n.size",
                        [$json],
                    ),
                ),
            ),
        );
        $this->database->delete("DELETE FROM ring_members o WHERE NOT EXISTS (SELECT 1 FROM {$as} n WHERE n.name_id = o.name_id)", [$json]);
        $this->database->statement(
            "INSERT INTO ring_members (name_id, ring, place, size) SELECT name_id, ring, place, size FROM {$as}
             ON CONFLICT (name_id) DO UPDATE SET (ring, place, size) = (excluded.ring, excluded.place, excluded.size)
             WHERE (ring_members.ring, ring_members.place, ring_members.size) IS DISTINCT
             FROM (excluded.ring, excluded.place, excluded.size)",
            [$json],
        );
    }
}
