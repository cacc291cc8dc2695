<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Outside\Registrar\Told;
use App\Support\Row;
use App\Support\TradeClock;

/** A registrar says that it has charged a renewal by itself: it is entered in the ledger, once. In the caller's transaction. */
final readonly class TakeCharge
{
    public function __construct(private WriteLedger $ledger, private TradeClock $clock)
    {
    }

    /** @param  Row  $message  of `gate_messages`: name_id, state, said_at, message, told */
    public function handle(Account $account, Row $message): void
    {
        $told = Told::read($message->textOrNull('told') === null ? [] : $message->json('told'));
        if ($told->charged === null || $message->textOrNull('state') !== 'charged') {
            return;
        }
        $this->ledger->entry(
            $account->id,
            $message->int('name_id'),
            'renew',
            $told->charged->times(-1),
            $message->instant('said_at') ?? $this->clock->now(),
            'message',
            reference: 'message '.$message->text('message'),
        );
    }
}
