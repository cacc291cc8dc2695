<?php

declare(strict_types=1);

namespace Tests;

use App\Outside\World;
use App\Support\TradeClock;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Session\Session;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Uri;
use Illuminate\Testing\TestResponse;
use Illuminate\Translation\Translator;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** A test of the application, on the test stack's database, as the runtime role; the owner migrates it once. */
abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    /** Every test empties its database: run by hand, it must not be the house's own. */
    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        if (getenv('ACRE_DRIVER') === false) {
            throw new RuntimeException('Run this by ./acre test, which has a database of its own for it.');
        }
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        // Of records that the test before has rolled back; others' beside it stay.
        File::delete(config()->string('house.heads').'/'.DB::connection()->getDatabaseName().'.txt');
        // Words that nobody wrote are a fault wherever a test meets them; the framework asks for many of its own that need not be there.
        $this->app
            ->make(Translator::class)
            ->handleMissingKeysUsing(
                fn (string $key): string => preg_match('/^(?!validation\.)[a-z-]+\.[a-zA-Z_]+[\w.]*$/D', $key) === 1
                    ? throw new RuntimeException("There are no words for {$key}.")
                    : $key,
            );
        // The world is shared by all tests, and its clock only goes forward.
        $this->app->instance(World::class, new World(null, ''));
        // Its post too: a letter from here would meet the weather that a test beside has made.
        config(['mail.mailers.listed.transport' => 'array']);
    }

    /**
     * Each request begins as a process of its own would: nothing remembered from the one before.
     *
     * @param  string  $method
     * @param  Uri|string  $uri
     * @param  array<mixed>  $parameters
     * @param  array<mixed>  $cookies
     * @param  array<mixed>  $files
     * @param  array<mixed>  $server
     * @param  string|null  $content
     * @return TestResponse<Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        $this->app->forgetScopedInstances();
        $this->app->setLocale('en');
        $this->app->make(TradeClock::class)->forget();

        $answer = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $page = $answer->baseResponse->getContent();
        if (is_string($page) && str_contains((string) $answer->headers->get('Content-Type'), 'html')) {
            $answer->baseResponse->setContent(self::asRead($page));
        }

        return $answer;
    }

    /** A page as a browser shows it: blanks and line ends are one blank, and none just inside a tag, but where text is kept as it is. */
    private static function asRead(string $page): string
    {
        // What a form sends unseen is sent as it is.
        $parts = preg_split('~(?|(<(pre|textarea)\b.*?</\2>)|(<input (type)="hidden"[^>]*>))~s', $page, -1, PREG_SPLIT_DELIM_CAPTURE);
        $read = '';
        foreach ($parts === false ? [$page] : $parts as $place => $part) {
            $read .= match ($place % 3) {
                0 => preg_replace(['/\s+/', '/(<\w[^<>]*>) (?!<)/', '~ (</|<br>)~'], [' ', '$1', '$1'], $part),
                // Blanks between its attributes, not in them.
                1 => str_starts_with($part, '<input') ? preg_replace('/\s+(?=(?:[^"]*"[^"]*")*[^"]*$)/', ' ', $part) : $part,
                default => '',
            };
        }

        return $read;
    }

    /**
     * Somebody else at the same browser has not changed a password.
     *
     * @param  Authenticatable  $user
     * @param  string|null  $guard
     */
    public function actingAs($user, $guard = null): static
    {
        $this->app->make(Session::class)->forget('password_hash_web');

        return parent::actingAs($user, $guard);
    }

    /** @return array<string, mixed> */
    protected function migrateFreshUsing(): array
    {
        return ['--database' => 'owner', '--force' => true];
    }
}
