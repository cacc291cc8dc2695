<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Accounts whose money doesn't reach for what their registrar charges by itself. */
final readonly class MoneyLacks implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all($this->database->select(
            'SELECT s.account_id, s.currency, s.first_on, s.refused, s.charged, s.missing, a.number, g.name AS registrar
                FROM shortages s JOIN accounts a ON a.id = s.account_id JOIN registrars g ON g.id = a.registrar_id
                WHERE s.first_on < ?::date ORDER BY s.first_on, s.account_id LIMIT ?',
            [$until->date(), $most],
        ));

        return array_map(function (Row $row): RoundsItem {
            $missing = $row->textOrNull('missing');
            $sum = $missing === null ? null : Money::of($missing, $row->text('currency'));

            return new RoundsItem(
                "money:{$row->int('account_id')}:{$row->text('currency')}:{$row->text('first_on')}:{$missing}",
                RoundsSection::Dark,
                Instant::of($row->text('first_on')),
                "{$row->text('registrar')} {$row->text('number')}",
                $this->words->count(match (true) {
                    $sum === null => 'rounds.money.card',
                    $row->int('charged') === 1 => 'rounds.money.only',
                    default => 'rounds.money.says',
                }, $row->int('refused'), [
                    'all' => number_format($row->int('charged')),
                    'sum' => $sum?->text() ?? '',
                ]),
                $this->words->say('rounds.money.cost'),
                $this->words->say('rounds.money.deed'),
                route('almanac', ['of' => "account-{$row->int('account_id')}"]),
                $row->int('refused'),
                isName: false,
            );
        }, $rows);
    }
}
