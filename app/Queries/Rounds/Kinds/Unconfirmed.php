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

/** Names that should have renewed by themselves, and nothing confirms it. */
final readonly class Unconfirmed implements RoundsKind
{
    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $kind = $row->text('next_kind');
            $day = NamesDue::day($row);
            $narrow = [
                'account' => $row->int('of_id'),
                'finding' => 'lifecycle.'.($kind === NextKind::Presumed->value ? 'presumed_renewed' : 'charge_unconfirmed'),
            ];
            $see = NamesDue::address($row, $narrow);
            [$deed, $address] = NamesDue::renewed($row, $narrow);

            return new RoundsItem(
                "{$kind}:{$row->int('of_id')}:{$day->date()}",
                RoundsSection::Look,
                $day,
                NamesDue::title($row),
                $this->words->say("rounds.unconfirmed.{$kind}", ['account' => $row->text('registrar').' '.$row->text('number')]),
                $this->words->say('rounds.unconfirmed.cost'),
                $this->words->say($deed),
                $address,
                $row->int('names'),
                null,
                $see,
            );
        }, $this->names->grouped([NextKind::ChargeUnconfirmed, NextKind::Presumed], 'account', $today, $until, $most));
    }
}
