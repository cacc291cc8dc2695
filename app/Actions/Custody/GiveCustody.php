<?php

declare(strict_types=1);

namespace App\Actions\Custody;

use Acre\Core\Custody\CustodyPart;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Models\Custodian;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\OpenSpans;
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

    private function start(int $accountId, int $custodianId, CustodyPart $part, ?Instant $goodUntil): void
    {
        $this->database->insert(
            'INSERT INTO custodies (account_id, custodian_id, part, good_until, span) VALUES (?, ?, ?, ?, tstzrange(?::timestamptz, NULL))',
            [$accountId, $custodianId, $part->value, $goodUntil?->isoSecond(), $this->clock->now()->isoSecond()],
        );
    }

    private function end(int $accountId, int $custodianId, CustodyPart $part): void
    {
        OpenSpans::end(
            $this->database,
            'custodies',
            'account_id = ? AND custodian_id = ? AND part = ?',
            [$accountId, $custodianId, $part->value],
            $this->clock->now(),
        );
    }
}
