<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Lifecycle\Term;
use Acre\Core\Time\Instant;
use App\Models\Ask;
use App\Models\AskLine;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Which of the names in a letter are still its client's to decide: not what was renewed since, or is no longer held for them. */
final readonly class StillAsked
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<int, AskLine> by name, in the order of the letter */
    public function of(Ask $ask): array
    {
        $ends = [];
        foreach (
            Row::all($this->database->select(
                'SELECT l.name_id, r.ends_on FROM ask_lines l
                    JOIN holdings h ON h.name_id = l.name_id AND upper_inf(h.span) AND h.client_id = ?
                    JOIN registrations r ON r.id = h.registration_id AND upper_inf(r.span)
                    WHERE l.ask_id = ?',
                [$ask->client_id, $ask->id],
            )) as $row
        ) {
            $ends[$row->int('name_id')] = $row->instant('ends_on');
        }
        $still = [];
        foreach ($ask->lines()->with('name')->get() as $line) {
            $now = $ends[$line->name_id] ?? null;
            if (array_key_exists($line->name_id, $ends) && ! ($now instanceof Instant && Term::isRenewed($line->ends(), $now))) {
                $still[$line->name_id] = $line;
            }
        }

        return $still;
    }
}
