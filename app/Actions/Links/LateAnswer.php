<?php

declare(strict_types=1);

namespace App\Actions\Links;

use App\Models\DocketState;
use App\Models\Link;
use App\Models\LinkPurpose;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Somebody answers after the day that their letter named: nothing is done by it, and whoever keeps the docket sees it and decides. */
final readonly class LateAnswer
{
    /** Days for which it is still heard. */
    private const HEARD = 90;

    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    /** The link, if nothing is wrong with it but its day. */
    public function link(string $token): ?Link
    {
        $link = Link::query()
            ->with('docket')
            ->where('digest', IssueLink::digest($token))
            ->whereIn('purpose', [LinkPurpose::AcceptHandover, LinkPurpose::ConfirmRegistrant])
            ->whereNull('used_at')
            ->whereNull('withdrawn_at')
            ->whereRaw("expires_at BETWEEN clock_timestamp() - ? * interval '1 day' AND clock_timestamp()", [self::HEARD])
            ->first();

        return $link?->docket !== null && $link->docket->state === DocketState::Settled && $link->docket->version === $link->docket_version
            ? $link
            : null;
    }

    /** @return bool false: it is not heard any more */
    public function handle(string $token, bool $agrees, string $words): bool
    {
        return $this->database->transaction(function () use ($token, $agrees, $words): bool {
            $link = $this->link($token);
            if ($link === null) {
                return false;
            }
            $this->database->update('UPDATE links SET late_on = ?::timestamptz, late_says = ?, late_words = ? WHERE id = ?', [
                $this->clock->now()->isoSecond(),
                $agrees,
                $words === '' ? null : mb_substr($words, 0, 900),
                $link->id,
            ]);
            $this->log->write('answered_late', 'docket', $link->docket_id, ['agrees' => $agrees]);

            return true;
        });
    }
}
