<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Outside\Registrar\Told;
use App\Queries\Money\Purses;
use App\Support\Row;
use App\Support\TradeClock;

/** A registrar says that an account holds little: what it holds is kept, and run forward anew. In the caller's transaction. */
final readonly class TakeLowBalance
{
    public function __construct(
        private WriteLedger $ledger,
        private Purses $purses,
        private KeepShortages $shortages,
        private TradeClock $clock,
    ) {
    }

    /** @param  Row  $message  of `gate_messages`: said_at, told */
    public function handle(Account $account, Row $message): void
    {
        $told = Told::read($message->textOrNull('told') === null ? [] : $message->json('told'));
        $at = $message->instant('said_at') ?? $this->clock->now();
        $before = $this->purses->of([$account->id])[$account->id]->saidOn;
        // What was said since counts more.
        if ($told->balance !== null && $before?->isBefore($at) !== false) {
            $this->ledger->balance($account->id, $told->balance, $at);
            $this->shortages->of($account->id);
        }
    }
}
