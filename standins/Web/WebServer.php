<?php

declare(strict_types=1);

namespace Standin\Web;

use React\Socket\TcpServer;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\Dns\Addresses;
use Standin\Dns\Mood;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Http\HttpServer;
use Standin\Settings;
use Standin\Store;
use Standin\Tls\Certificates;
use Standin\Tls\SitesDoor;
use Standin\WorldClock;

/** The web servers of the world's hosts, each on an address of its own: pages, redirects, and certificates in trade time. */
final readonly class WebServer
{
    /** Two of a web host, a second one’s, a shop’s, one of a service that redirects, and one of somebody whom no house knows. */
    public const ADDRESSES = ['192.0.2.80', '192.0.2.81', '203.0.113.80', '203.0.113.81', '198.51.100.80', '198.51.100.81'];

    public function __construct(
        private Store $store,
        private WorldClock $clock,
        private Certificates $certificates,
        private Settings $settings,
    ) {
    }

    public function listen(): void
    {
        foreach (self::ADDRESSES as $address) {
            $here = Addresses::here($address);
            $this->server($address, false)->listen(new TcpServer("{$here}:{$this->settings->webPort}"));
            SitesDoor::open(
                "{$here}:{$this->settings->webTlsPort}",
                fn (string $host): ?string => $this->shown($host),
                $this->server($address, true)->listen(...),
            );
        }
    }

    /** @return string|null a file with what is shown for a host; null: nothing is */
    private function shown(string $host): ?string
    {
        $page = $this->store->pages->of($host);

        return $this->certificates->site($page->names, $page->span($this->clock->now()), $page->showing);
    }

    private function server(string $address, bool $isSecure): HttpServer
    {
        return new HttpServer(
            fn (HttpRequest $request): HttpResponse => $this->answer($request, $isSecure),
            fn (HttpRequest $request): Weather => $this->store->pages->of($request->host())->isMute
                ? Weather::Silent
                : $this->weather($address),
        );
    }

    private function weather(string $address): Weather
    {
        return match (Mood::from($this->store->hosts->mood($address) ?? Mood::Fine->value)) {
            Mood::Silent => Weather::Silent,
            Mood::Slow => Weather::Slow,
            Mood::Refuses => Weather::ClosesAfter,
            Mood::Fails => Weather::DiskFull,
            default => Weather::now($this->store, Place::Web),
        };
    }

    private function answer(HttpRequest $request, bool $isSecure): HttpResponse
    {
        $host = $request->host();
        $page = $this->store->pages->of($host);
        $path = $request->path.($request->query === '' ? '' : "?{$request->query}");
        if (! $isSecure && $page->toSecure) {
            return new HttpResponse(301, 'text/plain', '', ['Location' => "https://{$host}{$path}"]);
        }
        if ($page->to !== null) {
            $to = $page->keepsPath ? rtrim($page->to, '/').$path : $page->to;

            return new HttpResponse($page->status, 'text/plain', '', ['Location' => $to]);
        }

        return new HttpResponse($page->status, 'text/html; charset=utf-8', "<title>{$host}</title>\n");
    }
}
