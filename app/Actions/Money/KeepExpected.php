<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Queries\Almanac\Asked;
use App\Queries\Almanac\ReadAlmanac;
use App\Queries\Almanac\Scope;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Keeps which auto-renewals are about to be charged, and for how much: once they were, nobody could work that out any more. */
final readonly class KeepExpected
{
    /** Months that the Almanac is read for, and days ahead that are kept. */
    private const MONTHS = 1;

    private const AHEAD = 3;

    private const BATCH = 1_000;

    public function __construct(private Connection $database, private ReadAlmanac $almanac, private TradeClock $clock)
    {
    }

    public function handle(): void
    {
        $now = $this->clock->now();
        $until = $now->toDay()->plusDays(self::AHEAD);
        $rows = [];
        foreach ($this->almanac->handle(new Asked(Scope::all(), false, true, self::MONTHS, $now))->runs as $run) {
            foreach ($run->due as $charge) {
                if ($charge->at->isBefore($until)) {
                    $rows[] = [
                        'account' => $run->account->id,
                        'name' => $charge->name,
                        'due' => $charge->at->date(),
                        'until' => $run->account->lastTry($charge->at)->date(),
                        'ends' => $charge->ends->date(),
                        'amount' => $charge->amount->decimal(),
                        'currency' => $charge->amount->currency,
                    ];
                }
            }
        }
        foreach (array_chunk($rows, self::BATCH) as $some) {
            $this->database->insert(
                'INSERT INTO expected_charges (account_id, name_id, due_on, until_on, ends_on, amount, currency, kept_on)
                    SELECT s.account, n.id, s.due, s.until, s.ends, s.amount, s.currency, ?::timestamptz
                    FROM jsonb_to_recordset(?::jsonb) AS s(account bigint, name text, due date, until date, ends date, amount numeric,
                        currency text) JOIN names n ON n.ascii = s.name
                    ON CONFLICT (name_id, ends_on) DO NOTHING',
                [$now->isoSecond(), json_encode($some, JSON_THROW_ON_ERROR)],
            );
        }
    }
}
