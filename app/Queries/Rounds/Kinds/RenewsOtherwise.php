<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Names that their registrar would renew although they are not meant to, or wouldn't although they are; by account. */
final readonly class RenewsOtherwise implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        // What is charged ahead must be told before that; a docket that waits is an item of its own.
        $rows = Row::all($this->database->select(
            "WITH otherwise AS (
                SELECT s.name_id, s.account_id AS of_id, r.renews, s.ascii, s.unicode, s.account_number AS number,
                    s.registrar_name AS registrar,
                    (s.ends_on - CASE WHEN r.renews THEN g.charge_lead_days ELSE 0 END * interval '1 day')::date AS day
                FROM renew_settings r JOIN standings s ON s.name_id = r.name_id AND s.account_id = r.account_id
                JOIN registrars g ON g.id = s.registrar_id
                WHERE r.renews <> (s.intent = ?) AND s.phase = 'in_term' AND s.ends_on >= ?::timestamptz
                    AND NOT EXISTS (SELECT FROM docket_lines l JOIN dockets d ON d.id = l.docket_id WHERE l.name_id = s.name_id
                        AND d.deed = 'change_auto_renew' AND l.state IN ('prepared', 'waiting', 'begun')))
             SELECT of_id, renews, min(number) AS number, min(registrar) AS registrar, min(day) AS day, count(*) AS names,
                (array_agg(unicode ORDER BY day, ascii))[1] AS unicode, (array_agg(ascii ORDER BY day, ascii))[1] AS ascii,
                CASE WHEN count(*) <= 50 THEN string_agg(ascii, ',' ORDER BY day, ascii) END AS list
             FROM otherwise WHERE day < ?::date GROUP BY of_id, renews ORDER BY min(day), of_id LIMIT ?",
            [Intent::ByItself->value, $today->isoSecond(), $until->date(), $most],
        ));

        return array_map(function (Row $row) use ($today): RoundsItem {
            $to = $row->bool('renews') ? 'off' : 'on';
            [$deed, $address] = NamesDue::together(
                $row,
                ['change_auto_renew', 'renews' => $to],
                "rounds.auto_renew.{$to}.deed",
                ['account' => $row->int('of_id'), 'ending' => '90'],
            );

            return new RoundsItem(
                "auto_renew:{$row->int('of_id')}:{$to}:{$row->text('day')}",
                $to === 'on' ? RoundsSection::Dark : RoundsSection::Money,
                // One whose charge may have begun is told today.
                Instant::latest($today, NamesDue::day($row)),
                NamesDue::title($row),
                $this->words->say("rounds.auto_renew.{$to}.says", ['account' => "{$row->text('registrar')} {$row->text('number')}"]),
                $this->words->say("rounds.auto_renew.{$to}.cost"),
                $this->words->say($deed),
                $address,
                $row->int('names'),
            );
        }, $rows);
    }
}
