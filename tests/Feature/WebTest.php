<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Hosting\CertificateFault;
use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\Visit;
use Acre\Core\Time\Instant;
use App\Outside\Web\PackedSite;
use App\Outside\Web\SiteAsked;
use App\Outside\Web\Web;
use App\Support\TradeClock;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Pages, redirects and certificates, as the world's web servers show them. */
#[Group('world')]
final class WebTest extends TestCase
{
    use Sited;
    use Worldly;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $now = $this->world->now();
        self::assertNotNull($now);
        app(TradeClock::class)->set($now);
    }

    /** @return array<string, SiteSeen> by host */
    private function look(string ...$hosts): array
    {
        $seen = [];
        app(Web::class)->look(
            array_map(fn (string $host): SiteAsked => new SiteAsked(0, $host, true), array_values($hosts)),
            function (SiteAsked $one, SiteSeen $what) use (&$seen): void {
                // What is kept says the same.
                self::assertEquals($what, PackedSite::unpack(PackedSite::pack($what)));
                $seen[$one->host] = $what;
            },
        );

        return $seen;
    }

    /** @return list<string> each page, and what it said */
    private static function said(?Trail $trail): array
    {
        return array_map(
            fn (Visit $visit): string => $visit->page.' '.($visit->status ?? $visit->fault?->value),
            $trail->visits ?? [],
        );
    }

    public function test_pages_redirects_and_certificates_are_read(): void
    {
        $target = $this->host();
        $host = $this->host(['to' => "https://{$target}/new", 'status' => 308, 'keepsPath' => true, 'toSecure' => true]);
        $plain = $this->host(address: '203.0.113.80');
        $seen = $this->look($host, $plain);
        self::assertSame(
            ["http://{$host}/ 301", "https://{$host}/ 308", "https://{$target}/new/ 200"],
            self::said($seen[$host]->plain),
        );
        self::assertSame(["https://{$host}/ 308", "https://{$target}/new/ 200"], self::said($seen[$host]->secure));
        self::assertSame(
            "https://{$target}/new/acre-roll/path?kept=1 200",
            self::said($seen[$host]->deep)[2] ?? null,
        );
        self::assertSame(['203.0.113.80'], $seen[$plain]->addresses);
        self::assertSame(["http://{$plain}/ 200"], self::said($seen[$plain]->plain));
        $certificate = $seen[$plain]->certificate;
        self::assertNotNull($certificate);
        self::assertSame([$plain, "www.{$plain}"], $certificate->names);
        self::assertSame('Wharf Signers', $certificate->issuer);
        self::assertNull($certificate->fault);
        $today = app(TradeClock::class)->today();
        self::assertSame($today->plusDays(-30)->epoch, $certificate->from->epoch);
        self::assertSame($today->plusDays(60)->epoch, $certificate->until->epoch);
    }

    #[TestWith(['incomplete', CertificateFault::Incomplete])]
    #[TestWith(['self-signed', CertificateFault::SelfSigned])]
    #[TestWith(['stranger', CertificateFault::Stranger])]
    public function test_a_certificate_that_nobody_trusts_is_read_all_the_same(string $showing, CertificateFault $fault): void
    {
        $host = $this->host(['showing' => $showing, 'names' => ['*.elsewhere.example'], 'from' => 1_500_000_000, 'until' => 1_600_000_000]);
        $certificate = $this->look($host)[$host]->certificate;
        self::assertNotNull($certificate);
        self::assertSame($fault, $certificate->fault);
        self::assertSame(['*.elsewhere.example'], $certificate->names);
        self::assertSame('2020-09-13', $certificate->until->date());
    }

    public function test_what_is_not_listed_is_not_asked_and_neither_is_an_odd_port(): void
    {
        $unlisted = $this->host(address: '198.51.100.81');
        $private = $this->host(address: '127.0.0.1');
        $nowhere = $this->host(address: '');
        $leads = $this->host(['to' => "http://{$unlisted}/"]);
        $odd = $this->host(['to' => "http://{$unlisted}:8430/clock"]);
        $file = $this->host(['to' => 'file:///etc/passwd']);
        $seen = $this->look($unlisted, $private, $nowhere, $leads, $odd, $file);
        foreach ([$unlisted, $private] as $host) {
            self::assertSame(["http://{$host}/ not_listed"], self::said($seen[$host]->plain));
            self::assertSame(["https://{$host}/ not_listed"], self::said($seen[$host]->secure));
            self::assertFalse($seen[$host]->isAsked());
        }
        self::assertSame(["http://{$nowhere}/ no_address"], self::said($seen[$nowhere]->plain));
        self::assertSame(["http://{$leads}/ 301", "http://{$unlisted}/ not_listed"], self::said($seen[$leads]->plain));
        self::assertSame("http://{$unlisted}:8430/clock not_listed", self::said($seen[$odd]->plain)[1] ?? null);
        self::assertSame(["http://{$file}/ 301"], self::said($seen[$file]->plain));
    }

    public function test_a_loop_ends(): void
    {
        $host = $this->host(['to' => '/round', 'status' => 302]);
        $seen = $this->look($host)[$host];
        self::assertSame(["http://{$host}/ 302", "http://{$host}/round 302"], self::said($seen->plain));
        self::assertTrue($seen->plain?->isEndless());
    }

    public function test_one_that_is_silent_closed_or_odd_holds_up_nobody(): void
    {
        $hosts = array_map(fn (): string => $this->host(), range(1, 6));
        $silent = array_map(fn (): string => $this->host(address: '192.0.2.81'), range(1, 4));
        $tlsless = $this->host(['showing' => 'nothing'], '203.0.113.81');
        $this->world->mood('192.0.2.81', 'silent');
        // Two seconds, as the settings of the world have it.
        $told = [];
        app(Web::class)->look(
            array_map(fn (string $host): SiteAsked => new SiteAsked(0, $host, false), [...$silent, ...$hosts, $tlsless]),
            function (SiteAsked $one, SiteSeen $seen) use (&$told): void {
                $told[$one->host] = $seen;
            },
        );
        self::assertEqualsCanonicalizing([...$silent, ...$hosts, $tlsless], array_keys($told));
        // Whom it has no connection to keep waiting for is known at once, and nobody who answers is told of after those that wait.
        self::assertContains(array_key_last($told), $silent);
        self::assertLessThan(array_search($silent[0], array_keys($told), true), array_search($hosts[5], array_keys($told), true));
        foreach ($hosts as $host) {
            self::assertSame([200, 200], [$told[$host]->plain?->last()?->status, $told[$host]->secure?->last()?->status]);
        }
        self::assertSame(NotVisited::Silent, $told[$silent[0]]->plain?->last()?->fault);
        self::assertSame(NotVisited::NoTls, $told[$tlsless]->secure?->last()?->fault);
        self::assertNull($told[$tlsless]->certificate);
        $this->world->mood('192.0.2.81', 'fine');
    }

    public function test_three_mute_sites_at_a_shared_address_silence_no_neighbour(): void
    {
        $mute = array_map(fn (): string => $this->host(['isMute' => true]), range(1, 4));
        $others = array_map(fn (): string => $this->host(), range(1, 4));
        // Three questions at a time, so that the mute ones come first.
        config(['outside.web.seconds' => 1, 'outside.web.at_once' => 3]);
        $seen = $this->look(...$mute, ...$others);
        foreach ($others as $host) {
            self::assertSame(200, $seen[$host]->plain?->last()?->status);
        }
        self::assertSame(NotVisited::Silent, $seen[$mute[3]]->plain?->last()?->fault);
    }

    #[TestWith(['garbage comes instead of the answer', NotVisited::Garbled])]
    #[TestWith(['the connection closes before the answer', NotVisited::Silent])]
    public function test_an_odd_answer(string $weather, NotVisited $fault): void
    {
        $host = $this->host(['showing' => 'nothing']);
        $this->world->weather($weather, 2, 'the web');
        self::assertSame($fault, $this->look($host)[$host]->plain?->last()?->fault);
        $this->world->weather($weather, 0, 'the web');
    }

    public function test_the_time_of_certificates_is_the_trades(): void
    {
        $host = $this->host(['from' => Instant::of('2026-10-01')->epoch, 'until' => Instant::of('2026-10-20')->epoch]);
        self::assertSame('2026-10-20', $this->look($host)[$host]->certificate?->until->date());
    }
}
