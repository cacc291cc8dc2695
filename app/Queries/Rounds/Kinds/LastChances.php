<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Lifecycle\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;

/** Names that are lost for good unless somebody acts: past their plain days, switched off by the registry, or deleted. */
final readonly class LastChances implements RoundsKind
{
    private const FINDINGS = ['late_dear' => LifecycleFinding::LateDear, 'suspended' => LifecycleFinding::Suspended, 'redemption' => LifecycleFinding::Redemption];

    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $kind = $row->text('next_kind');
            $day = NamesDue::day($row);
            $sum = NamesDue::money($row, 'sum');

            $narrow = ['client' => $row->int('of_id'), 'finding' => 'lifecycle.'.self::FINDINGS[$kind]->value];
            [$deed, $address] = NamesDue::renewed($row, $narrow);

            return new RoundsItem(
                "last:{$kind}:{$row->int('of_id')}:{$day->date()}", RoundsSection::Lost, $day, NamesDue::title($row),
                $this->words->say("rounds.last.{$kind}", ['client' => $row->text('client_name')]), $sum === null ? $this->words->say('rounds.last.cost') : $this->words->say('rounds.last.for', ['sum' => $sum->text()]),
                $this->words->say($deed), $address, $row->int('names'), null, NamesDue::address($row, $narrow),
            );
        }, $this->names->grouped([NextKind::LateDear, NextKind::Suspended, NextKind::Redemption], 'client', $today, $until, $most));
    }
}
