<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Registrars;
use App\Queries\Money\Purses;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What an account holds, as its registrar says: once a day, and whenever something was entered since. Who says nothing of it, or is not
 * reached, is asked again next time.
 */
final readonly class AskBalance
{
    public function __construct(
        private Connection $database,
        private Registrars $registrars,
        private Purses $purses,
        private WriteLedger $ledger,
        private KeepShortages $shortages,
        private TradeClock $clock,
    ) {
    }

    /** @param  bool  $isWanted  somebody asks for it now */
    public function handle(int $accountId, bool $isWanted = false): void
    {
        $account = Account::query()->with('registrar')->find($accountId);
        $registrar = $account === null ? null : $this->registrars->of($account);
        if ($account === null || $registrar === null || ! ($isWanted || $this->isDue($accountId))) {
            return;
        }
        // What is entered while it is asked counts on top, and has it asked again.
        $before = $this->clock->now();
        try {
            $holds = $registrar->balance($account);
        } catch (NotReached) {
            return;
        }
        if ($holds !== null) {
            $this->database->transaction(function () use ($accountId, $holds, $before): void {
                $this->ledger->balance($accountId, $holds, $before);
                $this->shortages->of($accountId);
            });
        }
    }

    private function isDue(int $accountId): bool
    {
        $purse = $this->purses->of([$accountId])[$accountId];

        return ! $purse->isTold || ! $purse->isAsSaid || $purse->saidOn?->date() !== $this->clock->today()->date();
    }
}
