<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;

/** What registrars charge by themselves, by account and day. */
final readonly class Charges implements RoundsKind
{
    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $day = NamesDue::day($row);
            $sum = NamesDue::money($row, 'sum');

            return new RoundsItem(
                "charge:{$row->int('of_id')}:{$day->date()}",
                RoundsSection::Look,
                $day,
                NamesDue::title($row),
                $this->words->say('rounds.charge.says', ['account' => $row->text('registrar').' '.$row->text('number')]),
                $sum === null ? $this->words->say('rounds.charge.unknown') : $sum->text(),
                $this->words->say($row->int('names') === 1 ? 'rounds.see' : 'rounds.see_them'),
                NamesDue::address($row, ['account' => $row->int('of_id'), 'intent' => 'by_itself', 'ending' => '90']),
                $row->int('names'),
            );
        }, $this->names->grouped([NextKind::Charge], 'account', $today, $until, $most));
    }
}
