<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Money\AskAutoRenew;
use App\Actions\Money\AskBalance;
use App\Actions\Money\AskEntries;
use App\Actions\Money\AskPrices;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Support\Row;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Tells one account's gate what was recorded for it, and takes what waits there. It may run twice; what it was sent for stands in the
 * orders.
 */
final class WorkGate implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 300;

    public int $uniqueFor = 60;

    public function __construct(public readonly int $accountId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->accountId;
    }

    public function handle(
        SendOrders $tell,
        ReceiveMessages $take,
        AskEntries $entries,
        AskBalance $ask,
        AskAutoRenew $renews,
        AskPrices $prices,
    ): void {
        try {
            if ($tell->handle($this->accountId)) {
                self::dispatch($this->accountId);
            }
        } finally {
            // Whatever became of what is told, what waits there is taken.
            $take->handle($this->accountId);
            $entries->handle($this->accountId);
            $ask->handle($this->accountId);
            $renews->handle($this->accountId);
            $prices->handle($this->accountId);
        }
    }

    /** Sends what was lost with its worker, and what has rested long enough. */
    public static function sweep(): void
    {
        foreach (
            Row::all(
                DB::select("SELECT DISTINCT account_id FROM orders WHERE state IN ('waiting', 'sent') AND not_before <= clock_timestamp()"),
            ) as $row
        ) {
            self::dispatch($row->int('account_id'));
        }
    }

    /** Accounts for whose orders somebody else must act are asked often what waits there. */
    public static function listenToPending(): void
    {
        foreach (Row::all(DB::select("SELECT DISTINCT account_id FROM orders WHERE state = 'pending'")) as $row) {
            self::dispatch($row->int('account_id'));
        }
    }

    /** Every account with a gate is asked what waits there. */
    public static function listen(): void
    {
        foreach (
            Row::all(
                DB::select(
                    "SELECT a.id FROM accounts a JOIN registrars r ON r.id = a.registrar_id
                        WHERE r.link <> 'slip' AND a.access = 'ours' AND a.gate_secret_id IS NOT NULL",
                ),
            ) as $row
        ) {
            self::dispatch($row->int('id'));
        }
    }
}
