<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Privacy services that end: from that day on the public record shows the holder. */
final readonly class PrivacyEnding implements RoundsKind
{
    /** Days after an end for which it is still due. */
    private const AFTER = 14;

    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT e.id, e.ends_on::date AS day, s.ascii, s.unicode, s.client_name FROM extras e
                    JOIN registrations r ON r.id = e.registration_id AND upper_inf(r.span) JOIN standings s ON s.name_id = r.name_id
             WHERE e.kind = 'privacy' AND e.ended_on IS NULL AND NOT e.renews AND e.ends_on >= ?::timestamptz
             AND e.ends_on < ?::timestamptz ORDER BY e.ends_on, e.id LIMIT ?",
                [$today->plusDays(-self::AFTER)->isoSecond(), $until->isoSecond(), $most],
            ),
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "privacy:{$row->int('id')}:{$row->text('day')}",
                RoundsSection::Look,
                Instant::latest(NamesDue::day($row), $today),
                $row->text('unicode'),
                $this->words->say('rounds.privacy.says', ['client' => $row->text('client_name')]),
                $this->words->say('rounds.privacy.cost'),
                $this->words->say('rounds.privacy.deed'),
                route('names.show', $row->text('ascii')).'#behind',
                1,
            ),
            $rows,
        );
    }
}
