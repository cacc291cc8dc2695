<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Queries\Almanac\Asked;
use App\Queries\Almanac\ReadAlmanac;
use App\Queries\Almanac\Scope;
use App\Queries\Almanac\ShortDay;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Runs accounts forward for a quarter and keeps which of them can’t pay, so that Rounds need not. */
final readonly class KeepShortages
{
    private const MONTHS = 3;

    public function __construct(private Connection $database, private ReadAlmanac $almanac, private TradeClock $clock)
    {
    }

    public function all(): void
    {
        foreach (Row::all($this->database->select('SELECT id FROM accounts ORDER BY id')) as $row) {
            $this->database->transaction(fn () => $this->of($row->int('id')));
        }
    }

    /** In the caller's transaction. */
    public function of(int $accountId): void
    {
        $now = $this->clock->now();
        $read = $this->almanac->handle(new Asked(Scope::account($accountId), false, true, self::MONTHS, $now));
        $this->database->delete('DELETE FROM shortages WHERE account_id = ?', [$accountId]);
        foreach ($read->runs as $run) {
            $day = ShortDay::of($run);
            if ($day !== null) {
                $this->database->insert(
                    'INSERT INTO shortages (account_id, currency, first_on, refused, charged, missing, ascii, made_on)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
                    [
                        $accountId,
                        $run->currency,
                        $day->at->date(),
                        $day->refused,
                        $day->charged,
                        $day->missing?->decimal(),
                        $day->name,
                        $now->isoSecond(),
                    ],
                );
            }
        }
    }
}
