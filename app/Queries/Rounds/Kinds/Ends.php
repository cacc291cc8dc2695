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

/** Names that go dark on their last day unless somebody renews them. */
final readonly class Ends implements RoundsKind
{
    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $day = NamesDue::day($row);
            $sum = NamesDue::money($row, 'sum');

            $narrow = ['client' => $row->int('of_id'), 'finding' => 'lifecycle.ends_unless_renewed', 'ending' => '90'];
            [$deed, $address] = NamesDue::renewed($row, $narrow, 'renew');

            return new RoundsItem(
                "ends:{$row->int('of_id')}:{$day->date()}", RoundsSection::Dark, $day, NamesDue::title($row),
                $this->words->say('rounds.ends.says', ['client' => $row->text('client_name')]),
                $sum === null ? $this->words->say('rounds.ends.cost') : $this->words->say('rounds.ends.renewing', ['sum' => $sum->text()]),
                $this->words->say($deed), $address, $row->int('names'), null, NamesDue::address($row, $narrow),
            );
        }, $this->names->grouped([NextKind::Ends], 'client', $today, $until, $most));
    }
}
