<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\Imports\ImportedNames;
use App\Actions\Outside\IntroduceToWorld;
use App\Outside\Directory\Directory;
use App\Outside\Directory\PublicDirectories;
use App\Outside\Dns\AskedChain;
use App\Outside\Dns\AskedChange;
use App\Outside\Dns\AskedDelegation;
use App\Outside\Dns\AskedServers;
use App\Outside\Dns\AskedZone;
use App\Outside\Dns\Dns;
use App\Outside\Dns\Exchange;
use App\Outside\Dns\Lookup;
use App\Outside\Post\BounceMailbox;
use App\Outside\Post\ListedTransport;
use App\Outside\Post\Post;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\RateLimit;
use App\Outside\Registrar\Gates;
use App\Outside\Web\ListedWeb;
use App\Outside\Web\Web;
use App\Outside\World;
use App\Queries\Outside\ReadPlan;
use App\Support\TradeClock;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Mail\MailManager;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** Which adapter stands for what outside, and what it may reach; all of it from config/outside.php. */
final class OutsideServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Hosts::class, function (): Hosts {
            /** @var array<string, string|null> $listed */
            $listed = config()->array('outside.hosts');
            /** @var array<string, string> $networks */
            $networks = config()->array('outside.dns.dialled');

            /** @var list<string> $web */
            $web = config()->array('outside.web.servers');
            /** @var array<int, int> $ports */
            $ports = config()->array('outside.web.ports');

            return new Hosts($listed, $networks, $web, $ports);
        });
        $this->app->bind(
            Fetch::class,
            fn (Application $app): Fetch => new Fetch(
                $app->make(Hosts::class),
                $this->textOrNull('outside.authority'),
                config()->integer('outside.connect'),
                config()->integer('outside.answer'),
                config()->integer('outside.bytes'),
            ),
        );
        $this->app
            ->when([RateLimit::class, ReadPlan::class])
            ->needs('$aMinute')
            ->giveConfig('outside.a_minute');
        $this->app->singleton(Directory::class, PublicDirectories::class);
        $this->app->when(PublicDirectories::class)->needs('$bootstrapAt')->give(fn (): ?string => $this->textOrNull('outside.bootstrap'));
        $this->app->when(PublicDirectories::class)->needs('$textServers')->giveConfig('outside.text');
        $this->app->when(PublicDirectories::class)->needs('$seconds')->giveConfig('outside.answer');
        $this->app->bind(Dns::class, function (Application $app): Dns {
            /** @var list<string> $roots */
            $roots = config()->array('outside.dns.roots');

            $exchange = new Exchange(
                config()->integer('outside.dns.port'),
                config()->float('outside.dns.seconds'),
                config()->integer('outside.dns.tries'),
            );
            $reach = $app->make(Hosts::class);
            $lookup = new Lookup($exchange, $reach, $roots, config()->boolean('outside.dns.six'));
            $clock = $app->make(TradeClock::class);
            $delegation = new AskedDelegation($exchange, $lookup, new AskedChain($exchange, $lookup, $clock), $reach);

            return new AskedServers(
                $exchange,
                $lookup,
                $delegation,
                new AskedChange($delegation, new AskedZone($exchange, $lookup), $clock),
                config()->integer('outside.dns.at_once'),
            );
        });
        $this->app->bind(
            Web::class,
            fn (Application $app): Web => new ListedWeb(
                $app->make(Hosts::class),
                $app->make(Dns::class),
                $app->make(TradeClock::class),
                $this->textOrNull('outside.authority'),
                config()->integer('outside.web.seconds'),
                config()->integer('outside.web.at_once'),
            ),
        );
        $this->app->singleton(
            Gates::class,
            fn (Application $app): Gates => new Gates(
                $app->make(Hosts::class),
                $app->make(Repository::class),
                $this->textOrNull('outside.authority'),
                config()->float('outside.gate_seconds'),
            ),
        );
        $this->app->when(Post::class)->needs('$returnsTo')->give(fn (): ?string => $this->textOrNull('mail.returns.address'));
        $this->app->bind(
            BounceMailbox::class,
            fn (Application $app): BounceMailbox => new BounceMailbox(
                $app->make(Hosts::class),
                $this->textOrNull('mail.returns.host'),
                (string) $this->textOrNull('mail.returns.user'),
                (string) $this->textOrNull('mail.returns.password'),
                $this->textOrNull('outside.authority'),
                config()->float('mail.mailers.listed.seconds'),
            ),
        );
        $this->callAfterResolving(
            'mail.manager',
            fn (MailManager $mail) => $mail->extend(
                'listed',
                fn (): ListedTransport => new ListedTransport(
                    $this->app->make(Hosts::class),
                    config()->string('mail.mailers.listed.host'),
                    config()->integer('mail.mailers.listed.port'),
                    $this->textOrNull('mail.mailers.listed.user'),
                    $this->textOrNull('mail.mailers.listed.password'),
                    $this->textOrNull('outside.authority'),
                    config()->float('mail.mailers.listed.seconds'),
                ),
            ),
        );
        $this->app->bind(World::class, function (): World {
            $world = config('outside.world');

            return is_array($world) && is_string($world['page'] ?? null) && is_string($world['key'] ?? null)
                ? new World($world['page'], $world['key'])
                : new World(null, '');
        });
    }

    public function boot(): void
    {
        Event::listen(ImportedNames::class, IntroduceToWorld::class);
    }

    private function textOrNull(string $key): ?string
    {
        $value = config($key);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
