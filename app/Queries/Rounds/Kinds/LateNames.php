<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Lifecycle\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;

/** Names past their end that still renew at the plain price, and dearer afterwards. */
final readonly class LateNames implements RoundsKind
{
    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $day = NamesDue::day($row);
            $sum = NamesDue::money($row, 'sum');
            $loss = NamesDue::money($row, 'fee');

            $narrow = ['client' => $row->int('of_id'), 'finding' => 'lifecycle.late_plain'];
            [$deed, $address] = NamesDue::renewed($row, $narrow);

            return new RoundsItem(
                "late:{$row->int('of_id')}:{$day->date()}", RoundsSection::Money, $day, NamesDue::title($row),
                $sum === null ? $this->words->say('rounds.late.says') : $this->words->say('rounds.late.for', ['sum' => $sum->text(), 'at' => $this->words->near($day)]),
                $loss === null ? $this->words->say('rounds.late.cost') : $this->words->say('rounds.late.more', ['sum' => $loss->text()]),
                $this->words->say($deed), $address, $row->int('names'), $loss, NamesDue::address($row, $narrow),
            );
        }, $this->names->grouped([NextKind::LatePlain], 'client', $today, $until, $most));
    }
}
