<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Custody\CustodyPart;
use Acre\Core\Finding\Cost;
use Acre\Core\Time\Instant;
use App\Queries\Custody\ReadCustody;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Accounts that somebody who has left still holds a part of, or that nobody who is still there can sign in to. */
final readonly class AccountsOrphaned implements RoundsKind
{
    public function __construct(private Connection $database, private ReadCustody $custody, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        // Of an account of which nobody has ever said who can get in nothing is known, and nothing is told.
        $ids = array_map(
            fn (Row $row): int => $row->int('id'),
            Row::all(
                $this->database->select(
                    "SELECT a.id FROM accounts a WHERE a.access = 'ours' AND EXISTS (SELECT 1 FROM custodies c WHERE c.account_id = a.id)
                AND (EXISTS (SELECT 1 FROM custodies c JOIN custodians p ON p.id = c.custodian_id AND p.left_on IS NOT NULL
                WHERE c.account_id = a.id AND upper_inf(c.span))
                  OR NOT EXISTS (SELECT 1 FROM custodies c JOIN custodians p ON p.id = c.custodian_id AND p.left_on IS NULL
                  WHERE c.account_id = a.id AND upper_inf(c.span) AND c.part = ?)) ORDER BY a.id LIMIT ?",
                    [CustodyPart::SignsIn->value, $most],
                ),
            ),
        );
        $items = [];
        foreach ($ids === [] ? [] : $this->custody->of($ids) as $id => ['account' => $account, 'custody' => $custody]) {
            $finding = $custody->findings()[0] ?? null;
            if ($finding !== null && in_array($finding->tag->cost(), [Cost::NameLost, Cost::Dark], true)) {
                $items[] = new RoundsItem(
                    "custody:{$id}:{$finding->key()}",
                    $finding->tag->cost() === Cost::NameLost ? RoundsSection::Lost : RoundsSection::Dark,
                    $today,
                    "{$account->text('registrar_name')} {$account->text('number')}",
                    lcfirst($this->words->finding($finding)),
                    $this->words->count('rounds.custody.cost', $account->int('names')),
                    $this->words->say('words.cure.'.($finding->tag->cure()->value ?? '')),
                    route('accounts.show', $id),
                    $account->int('names'),
                    isName: false,
                );
            }
        }

        return $items;
    }
}
