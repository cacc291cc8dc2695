<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\ZoneCopy;

/** What was found at a host, held against what is expected there. */
final readonly class SiteJudged
{
    /** Days before its end when a certificate that renews itself should have been renewed (common practice: at thirty days of ninety). */
    public const CERTIFICATE_DAYS = 14;

    /** Names of another's certificate that are told. */
    private const NAMES = 3;

    /** @param  ShortestCure|null  $cure  null: it is where it belongs, or nobody said where that is */
    private function __construct(private Site $site, private SiteSeen $seen, public ?ShortestCure $cure)
    {
    }

    /** @param  list<string>  $servers  that the registry has */
    public static function of(Site $site, SiteSeen $seen, array $servers, ?ZoneCopy $zone): self
    {
        $isThere = $site->place === null || $site->place->addresses === [] || $site->place->isAt($seen->addresses);

        return new self($site, $seen, $isThere ? null : ShortestCure::of($site, $servers, $zone));
    }

    /** @return list<Finding> dearest first */
    public function findings(Instant $now): array
    {
        $found = $this->ofPlace();
        // Who answers at another place says nothing about how this one is kept.
        if ($found === []) {
            $found = [...$this->ofPages(), ...$this->ofCertificate($now)];
        }

        return Finding::dearestFirst($found);
    }

    /** @return list<Finding> */
    private function ofPlace(): array
    {
        if ($this->seen->addresses === []) {
            return [$this->finding(HostingFinding::NoAddress)];
        }

        return $this->cure === null || $this->site->place === null
            ? []
            : [
                $this->finding(
                    HostingFinding::ofWay($this->cure->way),
                    seen: implode(', ', $this->seen->addresses),
                    place: $this->site->place->name,
                    addresses: implode(', ', $this->site->place->addresses),
                ),
            ];
    }

    /** @return list<Finding> */
    private function ofPages(): array
    {
        if (! $this->seen->isAsked()) {
            return [];
        }
        $trail = $this->seen->answered();
        if ($trail === null) {
            return [$this->finding(HostingFinding::Silent, address: $this->seen->addresses[0])];
        }
        if ($trail->isEndless()) {
            return [$this->finding(HostingFinding::Loop, through: (string) $trail->last()?->next())];
        }

        return $this->site->redirect === null ? $this->ofOwnPages($trail) : $this->ofRedirect($trail, $this->site->redirect);
    }

    /** @return list<Finding> */
    private function ofOwnPages(Trail $trail): array
    {
        $found = [];
        $end = $trail->end();
        if (! $this->isOwn($end->host)) {
            $found[] = $this->finding(HostingFinding::LeadsAway, to: (string) $end);
        } else {
            $status = $trail->last()->status ?? 0;
            if ($status >= 500) {
                $found[] = $this->finding(HostingFinding::ServerError, status: $status);
            } elseif ($status >= 400) {
                $found[] = $this->finding(HostingFinding::NoPage, status: $status);
            }
        }

        return [...$found, ...$this->ofChain($trail)];
    }

    /** @return list<Finding> */
    private function ofRedirect(Trail $trail, Redirect $wanted): array
    {
        $visit = $trail->to($wanted->target);
        if ($visit === null) {
            $redirects = $trail->redirects();
            $away = $redirects === [] || $this->isOwn($trail->end()->host) ? null : $redirects[0]->next() ?? $trail->end();

            return [
                $away === null
                    ? $this->finding(HostingFinding::NotRedirected, target: (string) $wanted->target)
                    : $this->finding(HostingFinding::OtherTarget, to: (string) $away, target: (string) $wanted->target),
            ];
        }
        $found = $this->ofChain($trail);
        if (Redirect::isPermanent((int) $visit->status) !== $wanted->isPermanent) {
            $tag = $wanted->isPermanent ? HostingFinding::Temporary : HostingFinding::Permanent;
            $found[] = $this->finding($tag, status: (int) $visit->status);
        }
        $keeps = $this->keepsPath($wanted->target);
        if ($keeps !== null && $keeps !== $wanted->keepsPath) {
            $found[] = $this->finding($wanted->keepsPath ? HostingFinding::PathLost : HostingFinding::PathKept);
        }

        return $found;
    }

    /** Null: not known. */
    private function keepsPath(WebAddress $target): ?bool
    {
        return match (true) {
            $this->seen->deep === null || ($this->seen->deep->visits[0]->status ?? null) === null => null,
            $this->seen->deep->reaches($target->with(SiteSeen::PROBE)) => true,
            $this->seen->deep->reaches($target) => false,
            default => null,
        };
    }

    /** @return list<Finding> */
    private function ofChain(Trail $trail): array
    {
        $found = [];
        $redirects = count($trail->redirects());
        $end = $trail->end();
        if ($redirects > 2 || ($redirects > 1 && $this->site->redirect?->target->isSamePageAs($end) === true)) {
            $found[] = $this->finding(HostingFinding::Chain, redirects: $redirects, to: (string) $end);
        }
        if ($redirects > 0 && ! $end->isSecure && $this->site->redirect?->target->isSecure !== false) {
            $found[] = $this->finding(HostingFinding::EndsInsecure, to: (string) $end);
        }

        return $found;
    }

    /** @return list<Finding> */
    private function ofCertificate(Instant $now): array
    {
        $certificate = $this->seen->certificate;
        if ($certificate === null) {
            $fault = $this->seen->secure->visits[0]->fault ?? null;
            // Where nobody answers at all, that is what is wrong.
            $isAlone = $this->seen->isAsked() && $this->seen->answered() !== null;

            return $isAlone && in_array($fault, [NotVisited::NoTls, NotVisited::Closed, NotVisited::Silent], true)
                ? [$this->finding(HostingFinding::NoTls)]
                : [];
        }
        if (! $certificate->covers($this->site->host())) {
            $names = implode(', ', array_slice($certificate->names, 0, self::NAMES));

            return [$this->finding(HostingFinding::CertificateOfOthers, names: $names === '' ? '–' : $names)];
        }

        return match (true) {
            $certificate->until->isBefore($now) => [$this->finding(HostingFinding::CertificateOver, ended: $certificate->until)],
            ! $certificate->from->hasComeAt($now) => [$this->finding(HostingFinding::CertificateEarly, begins: $certificate->from)],
            $certificate->fault === CertificateFault::SelfSigned => [$this->finding(HostingFinding::CertificateSelfSigned)],
            $certificate->fault !== null => [
                $this->finding(HostingFinding::ofFault($certificate->fault), issuer: $certificate->issuer),
            ],
            $certificate->until->isBefore($now->plusDays(self::CERTIFICATE_DAYS)) => [
                $this->finding(HostingFinding::CertificateEnds, ends: $certificate->until),
            ],
            default => [],
        };
    }

    /** Whether a host is of the same name. */
    private function isOwn(string $host): bool
    {
        return $host === $this->site->zone || str_ends_with($host, ".{$this->site->zone}");
    }

    private function finding(HostingFinding $tag, Instant|string|int ...$with): Finding
    {
        return Finding::of($tag, Effect::Worth, null, ...['host' => $this->site->host(), ...$with]);
    }
}
