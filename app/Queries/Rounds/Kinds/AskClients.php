<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Dates;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Names of which the client is to say whether they are kept. */
final readonly class AskClients implements RoundsKind
{
    public function __construct(private Connection $database, private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->names->grouped([NextKind::AskClient], 'client', $today, $until, $most);
        $asked = $this->asked($rows);

        return array_map(function (Row $row) use ($asked): RoundsItem {
            $day = NamesDue::day($row);
            $letter = $asked[$row->int('of_id')] ?? null;

            return new RoundsItem(
                "ask:{$row->int('of_id')}:{$day->date()}",
                RoundsSection::Waits,
                $day,
                NamesDue::title($row),
                $this->words->say($letter === null ? 'rounds.ask.says' : 'rounds.ask.asked', [
                    'client' => $row->text('client_name'),
                    'by' => $letter === null ? '' : Dates::full(Instant::of($letter->text('answer_by'))),
                ]),
                $this->words->say('rounds.ask.cost', ['at' => $this->words->near(Instant::of($row->text('ends_on'))->toDay())]),
                $this->words->say($letter === null ? 'rounds.ask.deed' : 'rounds.ask.see'),
                $letter === null ? route('asks.create', $row->int('of_id')) : route('asks.show', $letter->int('id')),
                $row->int('names'),
                null,
                NamesDue::address($row, ['client' => $row->int('of_id'), 'intent' => 'ask_client', 'ending' => '90']),
            );
        }, $rows);
    }

    /**
     * @param  list<Row>  $rows
     * @return array<int, Row> letters that wait for an answer, by client: id, answer_by
     */
    private function asked(array $rows): array
    {
        $found = [];
        foreach (
            $rows === [] ? [] : Row::all($this->database->select(
                "SELECT id, client_id, answer_by FROM asks WHERE state = 'open' AND client_id = ANY (?::bigint[])",
                ['{'.implode(',', array_map(fn (Row $row): int => $row->int('of_id'), $rows)).'}'],
            )) as $row
        ) {
            $found[$row->int('client_id')] = $row;
        }

        return $found;
    }
}
