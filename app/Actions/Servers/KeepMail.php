<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Zone\MailSaid;
use Acre\Core\Zone\ZoneCopy;
use App\Actions\Findings\KeepFindings;
use App\Outside\Dns\Dns;
use App\Queries\Servers\ReadMailFaults;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Keeps what is wrong with what a name's zone says about mail, whenever a new copy of the zone is kept. */
final readonly class KeepMail
{
    /** How deep the records of others that an SPF record leads to are followed; receivers stop at ten lookups in all. */
    private const DEEP = 10;

    public function __construct(
        private Connection $database,
        private Dns $dns,
        private KeepFindings $findings,
        private ReadMailFaults $faults,
        private TradeClock $clock,
    ) {
    }

    /**
     * Zones that were asked for just now, with what their SPF records lead to.
     *
     * @param  array<int, ZoneCopy>  $zones  by name
     */
    public function ofAsked(array $zones): void
    {
        $texts = $this->textsOfOthers($zones);
        foreach ($zones as $nameId => $zone) {
            $said = MailSaid::of($zone, $texts);
            $elsewhere = array_intersect_key($texts, array_flip($said->spf->leadsTo ?? []));
            $this->database->transaction(function () use ($nameId, $said, $elsewhere): void {
                $now = $this->clock->now()->isoSecond();
                $this->database->insert(
                    'INSERT INTO zone_looks (name_id, asked_at, elsewhere) VALUES (?, ?, ?::json)
                     ON CONFLICT (name_id) DO UPDATE SET asked_at = excluded.asked_at, elsewhere = excluded.elsewhere',
                    [$nameId, $now, json_encode((object) $elsewhere, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)],
                );
                $this->keep($nameId, $said);
            });
        }
    }

    /** A zone that somebody brought: nobody is asked, so what SPF records lead to is as it was last read. */
    public function ofBrought(int $nameId, ZoneCopy $zone): void
    {
        $this->keep($nameId, MailSaid::of($zone, $this->faults->elsewhere($nameId)));
    }

    private function keep(int $nameId, MailSaid $said): void
    {
        $this->findings->handle('mail_faults', 'name_id', $nameId, $said->findings(), $this->clock->now());
    }

    /**
     * What SPF records of these lead to, and what those lead to.
     *
     * @param  array<int, ZoneCopy>  $zones
     * @return array<string, list<string>> texts by host
     */
    private function textsOfOthers(array $zones): array
    {
        $texts = $asked = [];
        for ($step = 0; $step < self::DEEP; $step++) {
            $missing = array_map(fn (ZoneCopy $zone): array => MailSaid::of($zone, $texts)->spf->missing ?? [], array_values($zones));
            // One that does not answer stays unknown.
            $missing = array_diff(array_unique(array_merge(...$missing)), $asked);
            if ($missing === []) {
                break;
            }
            $asked = [...$asked, ...array_values($missing)];
            $this->dns->texts(array_values($missing), function (string $host, ?array $said) use (&$texts): void {
                if ($said !== null) {
                    $texts[$host] = array_values(array_filter($said, is_string(...)));
                }
            });
        }

        return $texts;
    }
}
