<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Queries\Accounts\Unlocked;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Accounts that were unlocked so that names could leave them, of which nobody has said since that they are locked again. */
final readonly class AccountsUnlocked implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            'SELECT a.id, a.number, r.name, o.docket, o.names FROM (SELECT l.giving_account_id, max(m.docket_id) AS docket,
                count(*) AS names '.
                Unlocked::OPEN.
                ' GROUP BY 1) o
             JOIN accounts a ON a.id = o.giving_account_id JOIN registrars r ON r.id = a.registrar_id ORDER BY a.id LIMIT ?',
            [$most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "unlocked:{$row->int('id')}:{$row->int('docket')}",
                RoundsSection::Lost,
                $today,
                "{$row->text('name')} {$row->text('number')}",
                $this->words->say('rounds.unlocked.says', ['docket' => (string) $row->int('docket')]),
                $this->words->say('words.leg.lock_account.otherwise'),
                $this->words->say('rounds.unlocked.deed'),
                route('accounts.show', $row->int('id')).'#unlocked',
                isName: false,
            ),
            Row::all($rows),
        );
    }
}
