<?php

declare(strict_types=1);

namespace App\Actions\Custody;

use Acre\Core\Contact\CustodyPart;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Models\Custodian;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\OpenSpans;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Who has which part of an account from now on; who had it before stays readable. */
final readonly class GiveCustody
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    /** @param  Instant|null  $goodUntil  of a card */
    public function give(User $user, Account $account, Custodian $custodian, CustodyPart $part, ?Instant $goodUntil = null): void
    {
        $this->database->transaction(function () use ($user, $account, $custodian, $part, $goodUntil): void {
            $this->end($account->id, $custodian->id, $part);
            $this->start($account->id, $custodian->id, $part, $part === CustodyPart::Card ? $goodUntil : null);
            $this->log->write('custody_given', 'account', $account->id, ['custodian' => $custodian->id, 'part' => $part->value], $user->id);
        });
    }

    public function take(User $user, Account $account, Custodian $custodian, CustodyPart $part): void
    {
        $this->database->transaction(function () use ($user, $account, $custodian, $part): void {
            $this->end($account->id, $custodian->id, $part);
            $this->log->write('custody_taken', 'account', $account->id, ['custodian' => $custodian->id, 'part' => $part->value], $user->id);
        });
    }

    /**
     * Everything that one has of these accounts is another's, now that the slip was done there. A card is not handed on: whose it is stays theirs.
     *
     * @param  list<int>  $accountIds  those that were ticked
     * @return int of how many accounts
     */
    public function handOver(User $user, Custodian $from, Custodian $to, array $accountIds): int
    {
        return $this->database->transaction(function () use ($user, $from, $to, $accountIds): int {
            $handed = [];
            foreach (Row::all($this->database->table('custodies')->where('custodian_id', $from->id)->whereIn('account_id', $accountIds)->whereRaw('upper_inf(span)')->orderBy('id')->lockForUpdate()->get(['account_id', 'part'])) as $row) {
                $part = CustodyPart::from($row->text('part'));
                $this->end($row->int('account_id'), $from->id, $part);
                if ($part !== CustodyPart::Card) {
                    $this->end($row->int('account_id'), $to->id, $part);
                    $this->start($row->int('account_id'), $to->id, $part, null);
                }
                $handed[$row->int('account_id')] = true;
            }
            foreach (array_keys($handed) as $account) {
                $this->log->write('custody_handed', 'account', $account, ['from' => $from->id, 'to' => $to->id], $user->id);
            }

            return count($handed);
        });
    }

    private function start(int $accountId, int $custodianId, CustodyPart $part, ?Instant $goodUntil): void
    {
        $this->database->insert('INSERT INTO custodies (account_id, custodian_id, part, good_until, span) VALUES (?, ?, ?, ?, tstzrange(?::timestamptz, NULL))', [$accountId, $custodianId, $part->value, $goodUntil?->isoSecond(), $this->clock->now()->isoSecond()]);
    }

    private function end(int $accountId, int $custodianId, CustodyPart $part): void
    {
        OpenSpans::end($this->database, 'custodies', 'account_id = ? AND custodian_id = ? AND part = ?', [$accountId, $custodianId, $part->value], $this->clock->now());
    }
}
