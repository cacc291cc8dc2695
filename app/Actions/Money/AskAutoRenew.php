<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Registrars;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Whether names that end soon are set to auto-renew at their registrar, asked once a day and name, so many at a time. Who is not reached is
 * asked again next time.
 */
final readonly class AskAutoRenew
{
    /** Days before its end: a registrar that charges a month ahead can still be told otherwise. */
    private const AHEAD = 75;

    /** Names in one go: what an order waits for is short. */
    private const AT_ONCE = 50;

    /** Questions without an answer, after which it is left alone: each may take as long as a connection is waited for. */
    private const SILENT = 3;

    /** Seconds after which the rest is left to the next time: a slow registrar is not to hold what else is told there. */
    private const SECONDS = 60;

    public function __construct(
        private Connection $database,
        private Registrars $registrars,
        private WriteRenewSetting $write,
        private TradeClock $clock,
    ) {
    }

    public function handle(int $accountId): void
    {
        $account = Account::query()->with('registrar')->find($accountId);
        $registrar = $account === null ? null : $this->registrars->of($account);
        if ($account === null || $registrar === null) {
            return;
        }
        $silent = 0;
        $until = hrtime(true) + self::SECONDS * 1_000_000_000;
        foreach ($this->due($accountId) as $row) {
            if (hrtime(true) > $until) {
                return;
            }
            $before = $this->clock->now();
            try {
                $renews = $registrar->renews($account, $row->text('ascii'));
            } catch (NotReached $e) {
                if ($e->isOfOneQuestion) {
                    $this->write->unanswered($row->int('name_id'), $accountId, $before);
                }
                if (! $e->isOfOneQuestion || ++$silent === self::SILENT) {
                    return;
                }

                continue;
            }
            $this->write->said($row->int('name_id'), $accountId, $renews, $before);
        }
    }

    /** @return list<Row> name_id, ascii, of those that nobody asked for today */
    private function due(int $accountId): array
    {
        $today = $this->clock->today();

        return Row::all($this->database->select(
            "SELECT s.name_id, s.ascii FROM standings s
                LEFT JOIN renew_settings r ON r.name_id = s.name_id AND r.account_id = s.account_id
                WHERE s.account_id = ? AND s.phase IN ('in_term', 'grace') AND s.ends_on < ?::timestamptz
                    AND (r.asked_at IS NULL OR r.asked_at < ?::timestamptz)
                ORDER BY s.ends_on, s.name_id LIMIT ?",
            [$accountId, $today->plusDays(self::AHEAD)->isoSecond(), $today->isoSecond(), self::AT_ONCE],
        ));
    }
}
