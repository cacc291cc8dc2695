<?php

declare(strict_types=1);

namespace App\Queries\Registrants;

use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\Side;
use App\Models\Confirmation;
use App\Models\LineState;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * The names of a docket that one side is asked about: those of which the rules ask that side, and of a prior registrant only their own;
 * once begun, those that wait for it.
 */
final readonly class NamesAskedAbout
{
    public function __construct(private Connection $database, private Rulebook $book, private TradeClock $clock)
    {
    }

    /** @return list<Row> `name_id`, `unicode`, `suffix`, `prior`: how the registrant of today is called */
    public function of(Confirmation $confirmation): array
    {
        $asks = [];
        $now = $this->clock->now();
        $rows = Row::all(
            $this->database->select(
                'SELECT l.name_id, n.unicode, n.suffix, x.called AS prior FROM docket_lines l JOIN names n ON n.id = l.name_id
                    LEFT JOIN registrants x ON x.name_id = l.name_id
             WHERE l.docket_id = ? AND l.state = ANY (?::text[]) AND (? OR x.contact_id = ?)
                AND (l.state <> ? OR EXISTS (SELECT 1 FROM movements m JOIN legs g ON g.movement_id = m.id
                WHERE m.docket_id = l.docket_id AND m.name_id = l.name_id AND g.confirmation_id = ?)) ORDER BY l.position',
                [
                    $confirmation->docket_id,
                    '{'.implode(',', array_map(fn (LineState $state): string => $state->value, LineState::OPEN)).'}',
                    $confirmation->side === Side::New,
                    $confirmation->contact_id,
                    LineState::Begun->value,
                    $confirmation->id,
                ],
            ),
        );

        return array_values(
            array_filter($rows, function (Row $row) use (&$asks, $confirmation, $now): bool {
                return $asks[$row->text('suffix')] ??= $this->book
                    ->for($row->text('suffix'), $now)
                    ->registrantConfirms->value->asks($confirmation->side);
            }),
        );
    }
}
