<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/** Keeps the last word on whether a name is set to auto-renew at its registrar. */
final readonly class WriteRenewSetting
{
    public function __construct(private Connection $database)
    {
    }

    /** It was set there. */
    public function set(int $nameId, int $accountId, bool $renews, Instant $at): void
    {
        $this->write($nameId, $accountId, $renews, $at, 'true');
    }

    /**
     * It was asked.
     *
     * @param  bool|null  $renews  null: the registrar doesn't say
     * @param  Instant  $at  before it was asked: that does not speak against what was set since
     */
    public function said(int $nameId, int $accountId, ?bool $renews, Instant $at): void
    {
        $this->write($nameId, $accountId, $renews, $at, 'coalesce(renew_settings.said_at < excluded.said_at, true)');
    }

    /** It was asked, and nothing came: what was said before stands, as long as the name is where it was. */
    public function unanswered(int $nameId, int $accountId, Instant $at): void
    {
        $this->database->insert(
            'INSERT INTO renew_settings (name_id, account_id, asked_at) VALUES (?, ?, ?)
                ON CONFLICT (name_id) DO UPDATE SET account_id = excluded.account_id, asked_at = excluded.asked_at,
                    renews = CASE WHEN renew_settings.account_id = excluded.account_id THEN renew_settings.renews END,
                    said_at = CASE WHEN renew_settings.account_id = excluded.account_id THEN renew_settings.said_at END',
            [$nameId, $accountId, $at->isoSecond()],
        );
    }

    private function write(int $nameId, int $accountId, ?bool $renews, Instant $at, string $where): void
    {
        $this->database->insert(
            "INSERT INTO renew_settings (name_id, account_id, renews, said_at, asked_at) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (name_id) DO UPDATE SET account_id = excluded.account_id, renews = excluded.renews,
                    said_at = excluded.said_at, asked_at = excluded.asked_at
                WHERE {$where}",
            [$nameId, $accountId, $renews, $at->isoSecond(), $at->isoSecond()],
        );
    }
}
