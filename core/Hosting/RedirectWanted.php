<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;

/** A redirect that hosts of a name are to get, judged before anybody sets it. */
final readonly class RedirectWanted
{
    /** @param  Place|null  $by  who is to redirect it; null: whoever has its pages now */
    public function __construct(public Redirect $redirect, public ?Place $by)
    {
    }

    /**
     * @param  list<Site>  $sites  of the name, as they would be: each with this redirect
     * @param  list<Site>  $now  of the name, as they are
     * @param  array<string, WebAddress>  $others  where hosts lead by what is planned, by host
     * @param  array<string, list<string>>  $seen  addresses at which hosts of the name were last found, by host
     * @param  bool  $isSecureOnly  whether browsers ask names of its suffix over TLS alone
     * @return list<Finding> dearest first
     */
    public function findings(array $sites, array $now, array $others, array $seen, bool $isSecureOnly): array
    {
        $target = $this->redirect->target;
        $found = [];
        foreach ($sites as $site) {
            if ($target->host === $site->host()) {
                $found[] = Finding::of(RedirectFinding::ToItself, Effect::Stops, null, host: $site->host());
            }
            $addresses = $seen[$site->host()] ?? [];
            if ($this->by !== null && $addresses !== [] && $this->by->addresses !== [] && ! $this->by->isAt($addresses)) {
                $found[] = Finding::of(
                    RedirectFinding::NotThere,
                    Effect::Worth,
                    null,
                    host: $site->host(),
                    place: $this->by->name,
                    addresses: implode(', ', $addresses),
                );
            }
        }
        $hosts = array_map(fn (Site $site): string => $site->host(), $sites);
        foreach ($now as $site) {
            if ($site->redirect === null && $site->place !== null && in_array($site->host(), $hosts, true)) {
                $found[] = Finding::of(RedirectFinding::HasPages, Effect::Worth, null, host: $site->host(), place: $site->place->name);
            }
        }
        $on = $this->leadsOn($hosts, $others);
        if ($on !== null && ! in_array($target->host, $hosts, true)) {
            $found[] = in_array($on->host, $hosts, true)
                ? Finding::of(RedirectFinding::Loop, Effect::Stops, null, host: $on->host, through: $target->host)
                : Finding::of(RedirectFinding::LeadsOn, Effect::Worth, null, target: $target->host, to: (string) $on);
        }
        if ($isSecureOnly && $sites !== []) {
            $suffix = substr((string) strrchr($sites[0]->zone, '.'), 1);
            $found[] = Finding::of(RedirectFinding::SecureOnly, Effect::Worth, null, suffix: $suffix);
        }

        return Finding::dearestFirst($found);
    }

    /**
     * Where the target leads in the end; one of our hosts where it comes back to it.
     *
     * @param  list<string>  $hosts
     * @param  array<string, WebAddress>  $others
     */
    private function leadsOn(array $hosts, array $others): ?WebAddress
    {
        $at = $this->redirect->target;
        $on = null;
        for ($step = 0; $step <= Trail::LONGEST && isset($others[$at->host]); $step++) {
            $at = $on = $others[$at->host];
            if (in_array($at->host, $hosts, true)) {
                break;
            }
        }

        return $on;
    }
}
