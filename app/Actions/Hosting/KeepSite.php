<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Time\Instant;
use App\Actions\Findings\KeepFindings;
use App\Models\NameSite;
use App\Outside\Web\PackedSite;
use Illuminate\Database\Connection;

/** Keeps what was found at a host, and what of it is wrong, and says when to look again. */
final readonly class KeepSite
{
    /** Seconds until the next look: at what is right, at what is not, and while a docket is having it changed. The house's own choice. */
    private const GOOD = 86_400;

    private const AMISS = 3_600;

    private const CHANGING = 300;

    public function __construct(private Connection $database, private KeepFindings $findings)
    {
    }

    /** Where somebody has changed what is expected there since, nothing is kept: it is looked at again. */
    public function handle(NameSite $site, SiteSeen $seen, SiteJudged $judged, Instant $now): void
    {
        $findings = $judged->findings($now);
        $isDark = array_filter($findings, fn (Finding $one): bool => $one->tag->cost()->value <= Cost::Dark->value) !== [];
        $wait = match (true) {
            $site->isChanging() && $findings !== [] => self::CHANGING,
            $isDark => self::AMISS,
            default => self::GOOD,
        };
        $this->database->transaction(function () use ($site, $seen, $findings, $now, $wait): void {
            $isKept = $this->database->update(
                'UPDATE sites SET body = ?, addresses = ?::jsonb, certificate_until = ?, asked_at = ?, next_look = ?,
                    agreed_at = CASE WHEN ? THEN coalesce(agreed_at, ?::timestamptz) END
                 WHERE id = ? AND version = ?',
                [
                    PackedSite::pack($seen),
                    json_encode($seen->addresses, JSON_THROW_ON_ERROR),
                    $seen->certificate?->until->isoSecond(),
                    $now->isoSecond(),
                    $now->plusSeconds($wait)->isoSecond(),
                    $findings === [] && $seen->isAsked() ? 'true' : 'false',
                    $now->isoSecond(),
                    $site->id,
                    $site->version,
                ],
            );
            if ($isKept === 1) {
                $this->findings->handle('site_faults', 'site_id', $site->id, $findings, $now);
            }
        });
    }
}
