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

/** Suffixes for which a registrar says another price than its list here: what is worked out with it would be wrong. */
final readonly class PricesDiffer implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(fn (Row $row): RoundsItem => new RoundsItem(
            "prices:{$row->int('registrar_id')}:{$row->text('suffix')}:{$row->text('renew')}",
            RoundsSection::Money,
            $today,
            "{$row->text('registrar')} .{$row->text('suffix')}",
            $this->words->say($row->textOrNull('amount') === null ? 'rounds.prices.none' : 'rounds.prices.says', [
                'asks' => Money::of($row->text('renew'), $row->text('currency'))->text(),
                'listed' => $row->textOrNull('amount') === null
                    ? ''
                    : Money::of($row->text('amount'), $row->text('listed_currency'))->text(),
            ]),
            $this->words->say('rounds.prices.cost'),
            $this->words->say('rounds.prices.deed'),
            route('registrars.show', $row->int('registrar_id')).'#prices-h',
            isName: false,
        ), Row::all($this->database->select(
            "SELECT p.registrar_id, g.name AS registrar, p.suffix, p.renew, p.currency, l.amount, l.currency AS listed_currency
                FROM (SELECT DISTINCT ON (a.registrar_id, q.suffix) a.registrar_id, q.suffix, q.renew, q.currency
                    FROM asked_prices q JOIN accounts a ON a.id = q.account_id WHERE q.is_standard
                    ORDER BY a.registrar_id, q.suffix, q.asked_on DESC, q.name_id) p
                JOIN registrars g ON g.id = p.registrar_id
                LEFT JOIN prices l ON l.registrar_id = p.registrar_id AND l.suffix = p.suffix AND l.action = 'renew'
                    AND l.span @> ?::timestamptz
                WHERE l.amount IS DISTINCT FROM p.renew OR l.currency IS DISTINCT FROM p.currency
                ORDER BY g.name, p.suffix LIMIT ?",
            [$today->isoSecond(), $most],
        )));
    }
}
