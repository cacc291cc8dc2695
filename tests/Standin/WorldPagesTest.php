<?php

declare(strict_types=1);

namespace Tests\Standin;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\Control\WorldPages;
use Standin\Dns\DnsServer;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Post\Habit;
use Standin\Post\Mailbox;
use Standin\Registry\Registrar;
use Standin\Settings;
use Standin\World;

/** The page of the simulation, and what moves it, without a network. */
final class WorldPagesTest extends TestCase
{
    private World $world;

    private WorldPages $pages;

    private string|false $key;

    protected function setUp(): void
    {
        $this->key = getenv('WORLD_KEY');
        putenv('WORLD_KEY=three cormorants');
        $this->world = (new Gatehouse())->world;
        $dns = new DnsServer($this->world->store, $this->world->clock, 0);
        $this->pages = new WorldPages($this->world, $dns, Settings::fromEnvironment());
    }

    protected function tearDown(): void
    {
        // Others of this run have a world of their own.
        putenv($this->key === false ? 'WORLD_KEY' : "WORLD_KEY={$this->key}");
    }

    /** @param  array<string, string|int>  $form */
    private function post(string $path, array $form, string $key = 'three cormorants'): HttpResponse
    {
        return $this->pages->answer(new HttpRequest('POST', $path, '', [], http_build_query(['key' => $key] + $form), '127.0.0.9'));
    }

    private function get(string $path): HttpResponse
    {
        return $this->pages->answer(new HttpRequest('GET', $path, '', [], '', '127.0.0.9'));
    }

    #[TestWith(['/clock'])]
    #[TestWith(['/load'])]
    #[TestWith(['/met'])]
    #[TestWith(['/name'])]
    #[TestWith(['/weather'])]
    #[TestWith(['/mailbox'])]
    #[TestWith(['/letters'])]
    #[TestWith(['/counter'])]
    #[TestWith(['/offer/'.'0000'])]
    #[TestWith(['/nothing'])]
    public function test_whoever_moves_it_says_the_key(string $path): void
    {
        self::assertSame(403, $this->post($path, [], 'another')->status);
    }

    public function test_it_says_plainly_that_it_is_no_part_of_the_product(): void
    {
        foreach (['/', '/letters', '/counter'] as $path) {
            $page = $this->get($path);
            self::assertSame(200, $page->status);
            self::assertStringContainsString('This is the simulation, and no part of the product.', $page->body);
            self::assertStringContainsString("default-src 'none'", $page->headers['Content-Security-Policy']);
            self::assertDoesNotMatchRegularExpression('/<script|\son\w+=|\sstyle=/i', $page->body);
        }
        self::assertSame(404, $this->get('/nothing')->status);
    }

    public function test_its_clock_only_goes_forward(): void
    {
        $before = $this->world->now();
        self::assertSame(422, $this->post('/clock', ['to' => $before - 86_400])->status);
        self::assertSame(200, $this->post('/clock', ['to' => $before + 86_400])->status);
        self::assertSame(303, $this->post('/clock', ['days' => 2])->status);
        self::assertEqualsWithDelta($before + 3 * 86_400, $this->world->now(), 5);
        self::assertSame(['now' => $this->world->now()], json_decode($this->get('/clock')->body, true));
    }

    public function test_names_that_it_was_never_told_of_have_been_there_all_along(): void
    {
        $now = $this->world->now();
        $told = fn (string $name, array $more = []): array => [
            'name' => $name,
            'shop' => 'Pellbridge',
            'registrar' => 'Anchorage Registrar Services',
            'account' => 'H-1',
            'created' => $now - 900 * 86_400,
            'ends' => $now + 40 * 86_400,
            'statuses' => [],
            'isLocked' => true,
            'renews' => false,
            'servers' => ['ns1.a.example'],
            'holder' => 'A Choir',
            'mailbox' => 'choir@a.example',
            ...$more,
        ];
        $meet = fn (array ...$names): mixed => json_decode(
            $this->pages->answer(
                new HttpRequest(
                    'POST',
                    '/met',
                    '',
                    ['world-key' => 'three cormorants'],
                    json_encode(['names' => $names], JSON_THROW_ON_ERROR),
                    '127.0.0.9',
                ),
            )->body,
            true,
        );
        self::assertSame(
            ['met' => 5],
            $meet(
                $told('met-6.com', ['statuses' => ['redemptionPeriod', 'pendingDelete'], 'ends' => $now - 50 * 86_400]),
                $told('met-1.com'),
                $told('met-2.co.uk', ['shop' => 'Mine & Sons', 'registrar' => null, 'created' => null, 'ends' => null, 'servers' => []]),
                $told('met-3.de', ['ends' => null]),
                $told('met-4.nowhere'),
                $told('met-5.com', ['ends' => $now - 400 * 86_400, 'created' => $now - 3_000 * 86_400]),
                $told('met-1.com', ['ends' => null]),
            ),
        );
        $first = $this->world->store->name('met-1.com');
        self::assertSame(
            ['anchorage', 'Pellbridge', $now + 40 * 86_400, ['clientTransferProhibited'], ['ns1.a.example'], 'A Choir', 'H-1'],
            [
                $first?->registrar,
                $first?->reseller,
                $first?->ends,
                $first?->statuses,
                $first?->servers,
                $first?->holder->organisation,
                $first?->account,
            ],
        );
        $second = $this->world->store->name('met-2.co.uk');
        self::assertSame(
            ['Mine & Sons', null, [], true],
            [$second?->registrar, $second?->reseller, $second?->statuses, $second?->validated],
            'a registry by tags knows no transfer lock',
        );
        self::assertGreaterThan($now, $second?->ends);
        self::assertCount(2, $second->servers ?? []);
        self::assertSame('rdap.mine-sons.example', Registrar::of('Mine & Sons')->rdap);
        self::assertMatchesRegularExpression(
            '/^rdap\.r[0-9a-f]{8}\.example$/',
            Registrar::of('Ωμέγα')->rdap,
            'a name without a Latin letter makes a host too',
        );
        self::assertNull($this->world->store->name('met-3.de')?->ends);
        self::assertNull($this->world->store->name('met-4.nowhere'));
        self::assertTrue(
            $this->world->store->name('met-6.com')?->has('redemptionPeriod'),
            'deleted, as the list says, and not gone for years',
        );
        self::assertNull($this->world->store->name('met-5.com'), 'four hundred days after its end nobody has it');
    }

    public function test_other_parties_are_played_and_what_nobody_has_is_said(): void
    {
        self::assertSame(
            303,
            $this->post('/name', ['name' => ' Bell.com ', 'part' => 'servers', 'with' => 'ns9.b.example, ns8.b.example'])->status,
        );
        self::assertSame(['ns9.b.example', 'ns8.b.example'], $this->world->store->name('bell.com')?->servers);
        $this->post('/name', ['name' => 'bell.com', 'part' => 'end', 'with' => '2031-01-31']);
        self::assertSame('2031-01-31', gmdate('Y-m-d', $this->world->store->name('bell.com')->ends ?? 0));
        $this->post('/name', ['name' => 'bell.com', 'part' => 'end', 'with' => 'unknown day']);
        self::assertSame('2031-01-31', gmdate('Y-m-d', $this->world->store->name('bell.com')->ends ?? 0), 'no day changes nothing');
        $nobody = $this->post('/name', ['name' => '<b>nobody', 'part' => 'lock']);
        self::assertSame(422, $nobody->status);
        self::assertStringContainsString('&lt;b&gt;nobody', $nobody->body);
        self::assertSame(422, $this->post('/name', ['name' => 'bell.com', 'part' => 'paint'])->status);
    }

    public function test_weather_is_a_places_own_and_counts_down(): void
    {
        $this->post('/weather', ['weather' => Weather::Silent->value, 'place' => Place::Post->value, 'times' => 2]);
        $next = fn (Place $place): Weather => Weather::now($this->world->store, $place);
        self::assertSame(
            [Weather::Fair, Weather::Silent, Weather::Silent, Weather::Fair],
            [$next(Place::Gate), $next(Place::Post), $next(Place::Post), $next(Place::Post)],
        );
        $this->post('/weather', ['weather' => Weather::OthersCertificate->value, 'place' => Place::Bridge->value, 'times' => 1]);
        self::assertSame(
            [Weather::Fair, false, true, false],
            [
                $next(Place::Bridge),
                Weather::isForeign($this->world->store, Place::Gate),
                Weather::isForeign($this->world->store, Place::Bridge),
                Weather::isForeign($this->world->store, Place::Bridge),
            ],
        );
    }

    public function test_mailboxes_get_habits_and_letters_and_keep_their_password(): void
    {
        $this->world->store->letters->putMailbox(new Mailbox('r@b.example', Habit::Reads, password: 'sea'));
        self::assertSame(
            303,
            $this->post('/mailbox', ['address' => ' R@b.example', 'habit' => Habit::Forwards->value, 'to' => 'End@b.example'])->status,
        );
        $box = $this->world->store->letters->mailbox('r@b.example');
        self::assertSame([Habit::Forwards, 'end@b.example', 'sea'], [$box?->habit, $box?->to, $box?->password]);
        $this->post('/write', ['from' => 'a@a.example', 'to' => 'r@b.example', 'subject' => 'On', 'text' => 'Good day']);
        $letters = json_decode($this->post('/letters', ['mailbox' => 'END@b.example'])->body, true);
        self::assertIsArray($letters);
        self::assertCount(1, $letters);
        self::assertStringContainsString('Good day', is_string($letters[0]) ? $letters[0] : '');
    }

    public function test_what_a_gate_heard_is_told_to_whoever_has_the_key(): void
    {
        $gate = new Gatehouse();
        $pages = new WorldPages($gate->world, new DnsServer($gate->world->store, $gate->world->clock, 0), Settings::fromEnvironment());
        $gate->session('40718');
        self::assertSame(
            '["login 1000"]',
            $pages->answer(new HttpRequest('POST', '/heard', '', ['world-key' => 'three cormorants'], 'account=40718', '127.0.0.9'))->body,
        );
    }

    public function test_where_it_listens_is_told_to_everybody(): void
    {
        $ports = json_decode($this->get('/ports')->body, true);
        self::assertIsArray($ports);
        self::assertSame(
            ['page', 'directories', 'text', 'gate', 'second gate', 'post', 'mailboxes', 'bridge', 'web servers', 'name servers'],
            array_keys($ports),
        );
    }
}
