<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\Certificate;
use Acre\Core\Hosting\Place;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\TrustedRoots;
use Acre\Core\Hosting\Visit;
use Acre\Core\Hosting\WebAddress;
use Acre\Core\Time\Instant;

/** How far one host has been asked: its trails, and the certificate that it showed. */
final class SiteWalk
{
    /** @var array<string, Trail> `plain`, `secure`, `deep` */
    private array $trails;

    /** @var array<string, true> those whose next page is being asked for */
    private array $underWay = [];

    /** @var list<string> PEM, as the host itself sent them */
    private array $sent = [];

    /** @param  list<string>  $addresses  of the host */
    public function __construct(public readonly SiteAsked $asked, private readonly array $addresses)
    {
        $from = fn (bool $isSecure, string $path): Trail => Trail::from(WebAddress::ofHost($asked->host, $isSecure, $path));
        $this->trails = ['plain' => $from(false, '/'), 'secure' => $from(true, '/')];
        if ($asked->isRedirect) {
            $this->trails['deep'] = $from(false, SiteSeen::PROBE);
        }
    }

    public function isOver(): bool
    {
        return array_filter($this->trails, fn (Trail $trail): bool => $trail->next !== null) === [];
    }

    /** @return array<string, WebAddress> what is to be asked next and is not yet, by trail */
    public function toAsk(): array
    {
        return array_diff_key(array_filter(array_map(fn (Trail $trail): ?WebAddress => $trail->next, $this->trails)), $this->underWay);
    }

    public function ask(string $trail): void
    {
        $this->underWay[$trail] = true;
    }

    /** @param  list<string>  $sent  certificates in PEM */
    public function visited(string $trail, Visit $visit, array $sent): void
    {
        unset($this->underWay[$trail]);
        $this->trails[$trail] = $this->trails[$trail]->then($visit);
        if ($visit->page->host === $this->asked->host && $visit->page->isSecure && $this->sent === []) {
            $this->sent = $sent;
        }
    }

    public function seen(TrustedRoots $roots, Instant $now): SiteSeen
    {
        return new SiteSeen(
            array_map(Place::address(...), $this->addresses),
            $this->trails['plain'],
            $this->trails['secure'],
            $this->trails['deep'] ?? null,
            $this->sent === [] ? null : Certificate::read($this->sent, $roots, $now),
            $now,
        );
    }
}
