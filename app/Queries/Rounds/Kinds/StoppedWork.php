<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Models\SetbackKind;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Work that was set aside because it failed: one thing an account, a docket or a kind, with where it is explained. */
final readonly class StoppedWork implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            'SELECT b.kind, b.account_id, coalesce(CASE WHEN b.account_id IS NULL THEN b.docket_id END, 0) AS docket, count(*) AS things,
                min(b.id) AS first, r.name AS registrar, a.number
             FROM setbacks b LEFT JOIN accounts a ON a.id = b.account_id LEFT JOIN registrars r ON r.id = a.registrar_id
             GROUP BY b.kind, b.account_id, 3, r.name, a.number ORDER BY min(b.id) LIMIT ?',
            [$most],
        );

        return array_map(function (Row $row) use ($today): RoundsItem {
            $account = $row->intOrNull('account_id');
            $docket = $row->int('docket');
            [$title, $address] = match (true) {
                $account !== null => ["{$row->text('registrar')} {$row->text('number')}", route('accounts.show', $account).'#failed-work'],
                $docket > 0 => [$this->words->say('rounds.stopped.docket', ['docket' => (string) $docket]), route('dockets.show', $docket)],
                default => [$this->words->say('rounds.stopped.house'), route('failed-work')],
            };

            return new RoundsItem(
                "stopped:{$row->int('first')}:{$row->int('things')}",
                RoundsSection::Waits,
                $today,
                $title,
                $this->words->count('setbacks.says.'.SetbackKind::from($row->text('kind'))->value, $row->int('things')),
                $this->words->say('rounds.stopped.cost'),
                $this->words->say('rounds.stopped.deed'),
                $address,
                isName: false,
            );
        }, Row::all($rows));
    }
}
