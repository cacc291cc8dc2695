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

/** Names of which the client is to say whether they are kept. */
final readonly class AskClients implements RoundsKind
{
    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row): RoundsItem {
            $day = NamesDue::day($row);

            return new RoundsItem(
                "ask:{$row->int('of_id')}:{$day->date()}",
                RoundsSection::Waits,
                $day,
                NamesDue::title($row),
                $this->words->say('rounds.ask.says', ['client' => $row->text('client_name')]),
                $this->words->say('rounds.ask.cost', ['at' => $this->words->near(Instant::of($row->text('ends_on'))->toDay())]),
                $this->words->say($row->int('names') === 1 ? 'rounds.ask.deed' : 'rounds.see_them'),
                $row->int('names') === 1
                    ? route('deeds.show', ['change_intent', 'name' => $row->text('ascii')])
                    : NamesDue::address($row, ['client' => $row->int('of_id'), 'intent' => 'ask_client', 'ending' => '90']),
                $row->int('names'),
                null,
                NamesDue::address($row, ['client' => $row->int('of_id'), 'intent' => 'ask_client', 'ending' => '90']),
            );
        }, $this->names->grouped([NextKind::AskClient], 'client', $today, $until, $most));
    }
}
