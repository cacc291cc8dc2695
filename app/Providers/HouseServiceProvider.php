<?php

declare(strict_types=1);

namespace App\Providers;

use Acre\Core\Rulebook\Rulebook;
use App\Actions\Imports\ReadImport;
use App\Actions\Imports\UndoImport;
use App\Actions\Imports\WriteImport;
use App\Actions\Links\IssueLink;
use App\Actions\Names\GatherNames;
use App\Actions\Registrants\WhoIsMeant;
use App\Http\KnownDevice;
use App\Models\Right;
use App\Models\User;
use App\Queries\Contacts\StillTold;
use App\Queries\Keyset;
use App\Queries\Money\PriceBook;
use App\Queries\Names\CaseFiles;
use App\Support\Fault;
use App\Support\HouseSettings;
use App\Support\HouseTranslator;
use App\Support\ScheduleLock;
use App\Support\TradeClock;
use App\View\CurrentSheaf;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Console\Scheduling\EventMutex;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;
use Illuminate\Translation\Translator;
use PDO;

final class HouseServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // A new connection costs 20 ms of every page; what a process serves pages with, it keeps.
        if (PHP_SAPI === 'fpm-fcgi') {
            config(['database.connections.pgsql.options' => [PDO::ATTR_PERSISTENT => true]]);
        }
        $this->app->singleton(TradeClock::class);
        $this->app->singleton(Rulebook::class, fn (): Rulebook => new Rulebook(base_path('rulebook')));
        $this->app->bind(EventMutex::class, ScheduleLock::class);
        $this->app->scoped(CurrentSheaf::class);
        $this->app->when(GatherNames::class)->needs('$limit')->giveConfig('house.selection_limit');
        $this->app
            ->when([ReadImport::class, WriteImport::class, UndoImport::class])
            ->needs('$chunk')
            ->giveConfig('house.import_chunk');
        $this->app->scoped(HouseSettings::class);
        // Who somebody meant is read once a page, whoever asks.
        $this->app->scoped(WhoIsMeant::class);
        $this->app->extend(
            'translator',
            fn (Translator $translator, Application $app): Translator => new HouseTranslator(
                $translator->getLoader(),
                $translator->getLocale(),
                fn (): HouseSettings => $app->make(HouseSettings::class),
            ),
        );
        $this->app
            ->when(ReadImport::class)
            ->needs('$currency')
            ->give(fn (Application $app): string => $app->make(HouseSettings::class)->currency());
        $this->app->when(IssueLink::class)->needs('$publicAddress')->giveConfig('house.public_address');
        $this->app->when(ReadImport::class)->needs('$limit')->giveConfig('house.import_rows');
        $this->app->bind(
            CaseFiles::class,
            fn (Application $app): CaseFiles => new CaseFiles(
                $app->make(Connection::class),
                $app->make(StillTold::class),
                $app->make(PriceBook::class),
                config()->integer('house.ask_client_days'),
            ),
        );
    }

    public function boot(): void
    {
        $this->strictModels();
        // Addresses are those of the settings, whatever host a request names.
        $root = config()->string('app.url');
        URL::forceRootUrl($root);
        TrustProxies::at(array_values(array_filter(config()->array('house.trusted_proxies'), is_string(...))));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        URL::forceScheme(str_starts_with($root, 'https://') ? 'https' : 'http');
        CursorPaginator::currentCursorResolver(fn (string $name = 'cursor') => Keyset::cursor($this->app->make('request')->query($name)));

        foreach (Right::cases() as $right) {
            Gate::define($right->value, fn (User $user): bool => $user->role->may($right));
        }

        RateLimiter::for('sign-in', function (Request $request): array {
            $who = $request->input('email');
            $tries = config()->integer('house.sign_in_tries');
            // By who it is, and not by how it is written: two ways of writing that fold apart would be two limits.
            $user = is_string($who) && mb_strlen($who) <= 320 ? User::atMailbox($who)?->id : null;
            $device = KnownDevice::of($request, $user);
            if ($device !== null) {
                return [Limit::perMinute($tries)->by("device:{$device}")];
            }
            $from = (string) $request->ip();
            $person = $user === null ? 'nobody:'.hash('sha256', is_string($who) ? Str::lower(trim($who)) : '') : "person:{$user}";

            return [
                Limit::perMinute($tries)->by("{$person}:{$from}"),
                Limit::perMinute(3 * $tries)->by($person),
                Limit::perMinute(6 * $tries)->by("from:{$from}"),
            ];
        });

        RateLimiter::for(
            'forgot',
            fn (Request $request): array => [
                Limit::perHour(20)->by('forgot-from:'.$request->ip()),
                Limit::perHour(3)->by(
                    'forgot:'.hash('sha256', is_string($request->input('email')) ? Str::lower(trim($request->input('email'))) : ''),
                ),
            ],
        );

        RateLimiter::for('second', function (Request $request): array {
            $waiting = $request->session()->get('waits_for_code');
            $who = $request->user()?->getAuthIdentifier() ?? (is_array($waiting) ? $waiting[0] ?? '' : '');

            return [
                Limit::perMinute(5)->by('second:'.(is_scalar($who) ? $who : '')),
                Limit::perMinute(30)->by('second-from:'.$request->ip()),
            ];
        });

        // Whoever guesses at links in letters.
        RateLimiter::for(
            'answers',
            fn (Request $request): array => [
                Limit::perMinute(20)->by('answers:'.$request->ip()),
                Limit::perMinute(10)->by('answer:'.hash('sha256', $request->path())),
            ],
        );

        // Reading what somebody sent takes a process for a while; there are few of them.
        RateLimiter::for(
            'uploads',
            fn (Request $request): Limit => Limit::perMinute(config()->integer('house.uploads_a_minute'))->by(
                'uploads:'.self::whoAsks($request),
            ),
        );

        // What is asked outside goes out in the house's name.
        RateLimiter::for('asks', fn (Request $request): Limit => Limit::perMinute(30)->by('asks:'.self::whoAsks($request)));

        $fault = Fault::planned();
        if ($fault !== null) {
            DB::listen(fn () => $fault->arrive(Fault::STATEMENT));
        }

        // A worker lives long: what the clock was set to meanwhile must reach it.
        Event::listen(JobProcessing::class, fn () => $this->app->make(TradeClock::class)->forget());
    }

    /** What a test must not pass by is no reason to stop a house's work: there it is written into the log. */
    private function strictModels(): void
    {
        Model::shouldBeStrict();
        if (! $this->app->environment('testing')) {
            $told = function (Model $model, mixed $what): void {
                Log::warning('A model was used loosely.', ['model' => $model::class, 'what' => $what]);
            };
            Model::handleLazyLoadingViolationUsing($told);
            Model::handleMissingAttributeViolationUsing($told);
            Model::handleDiscardedAttributeViolationUsing($told);
        }
    }

    private static function whoAsks(Request $request): string
    {
        $who = $request->user()?->getAuthIdentifier();

        return is_scalar($who) ? (string) $who : (string) $request->ip();
    }
}
