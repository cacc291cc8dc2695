<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Docket;
use App\Models\Import;
use App\Models\ImportState;
use App\Queries\Keyset;
use Illuminate\Http\UploadedFile;
use Illuminate\Pagination\Cursor;
use Illuminate\Support\Facades\Storage;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Addresses and forms that nobody's page ever made: an answer with words, never a broken page, and nothing written. */
final class RoughInputTest extends TestCase
{
    private const ROUGH = [
        '',
        '0',
        '-1',
        '99999999999999999999',
        '1e9',
        "'",
        '"><script>',
        '%',
        '_',
        "\u{202E}",
        'ä',
        "\x80",
        '../../etc/passwd',
        'null',
        'NaN',
        '2026-02-30',
        '2026-10-20',
        'keep',
        '~',
        '2026-10-06 00:00:00+00~x',
    ];

    private House $house;

    private Randomizer $random;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->name('bell.com');
        $this->random = new Randomizer(new Mt19937(419));
        $this->actingAs($this->house->steward);
    }

    private function rough(): mixed
    {
        $value = self::ROUGH[$this->random->getInt(0, count(self::ROUGH) - 1)];

        return $this->random->getInt(0, 9) === 0 ? [$value, [$value]] : $value;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed>
     */
    private function some(array $keys): array
    {
        return array_filter(
            array_combine($keys, array_map(fn (): mixed => $this->rough(), $keys)),
            fn (): bool => $this->random->getInt(0, 2) > 0,
        );
    }

    public function test_rough_addresses_are_answered(): void
    {
        $pages = [
            '/roll' => ['client', 'registrar', 'account', 'q', 'ending', 'sort', 'after'],
            '/hand-over' => ['of', 'name', 'q', 'receiver', 'client', 'by', 'only', 'found'],
            '/names/bell.com' => ['on'],
            '/dockets' => ['state', 'cursor'],
            '/accounts' => ['q'],
            '/clients' => ['page'],
            '/accounts/create' => ['registrar'],
        ];
        foreach ($pages as $path => $keys) {
            for ($case = 0; $case < 25; $case++) {
                $query = http_build_query($this->some($keys));
                self::assertContains($this->get("{$path}?{$query}")->getStatusCode(), [200, 302, 404, 422], "{$path}?{$query}");
            }
        }
    }

    public function test_the_place_that_a_page_gives_is_taken(): void
    {
        foreach ([true, false] as $forward) {
            self::assertEquals(new Cursor(['id' => 51], $forward), Keyset::cursor((new Cursor(['id' => 51], $forward))->encode()));
        }
        self::assertSame('2026-10-06 00:00:00+00', Keyset::instant('2026-10-06 00:00:00+00'));
        self::assertNull(Keyset::instant('2026-02-29 00:00:00+00'));
    }

    /** Each word of each page alone, with what is nearly right: by chance it would hardly be met. */
    public function test_whatever_one_word_of_an_address_says_it_is_answered(): void
    {
        $pages = [
            '/roll' => [
                'client',
                'registrar',
                'account',
                'q',
                'ending',
                'sort',
                'after',
                'from',
                'suffix',
                'phase',
                'intent',
                'lock',
                'disclosure',
                'server',
                'registrant',
                'contact',
                'created',
                'word',
                'finding',
                'view',
                'held',
                'auto_renew',
                'ends_from',
                'ends_to',
                'created_from',
                'created_to',
            ],
            "/clients/{$this->house->foundry->id}/merge" => ['other'],
            '/deeds/restore_servers' => ['of', 'name', 'without'],
            '/deeds/change_servers' => ['set', 'back', 'accept', 'docket', 'without'],
            '/servers/asked' => ['of', 'name', 'set', 'back', 'accept'],
            '/servers/sets/create' => ['of'],
            '/names/bell.com/points' => ['set'],
            '/names/bell.com/zones' => ['before', 'after'],
            '/deeds/undo_docket' => ['docket', 'name'],
            '/roll/calendar.ics' => ['held', 'suffix', 'ending', 'created'],
            '/rounds' => ['whose', 'all'],
            '/find' => ['q'],
            '/dockets' => ['state', 'cursor'],
            '/contacts' => ['q', 'client', 'risk', 'unused', 'after'],
            '/contacts/alike' => ['page'],
            '/verification' => ['after'],
            '/drift' => ['kind', 'page', 'cursor'],
            '/drift?kind=left' => ['cursor'],
            '/clients' => ['page'],
            '/received' => ['page'],
            '/rulebook/com' => ['created', 'ends', 'moved', 'lead', 'intent'],
            '/names/bell.com' => ['on'],
            '/deeds/change_intent' => ['of', 'name', 'intent', 'rows', 'without'],
            '/deeds/change_registrant' => ['of', 'name', 'contact', 'agreement', 'agent'],
            '/hand-over' => ['of', 'name', 'receiver', 'client', 'by', 'contact', 'agent', 'q'],
            '/log' => ['person', 'event', 'q', 'before'],
            '/almanac' => ['of', 'count', 'top-ups', 'months', 'rise', 'rise-from', 'let-go', 'years', 'zoom', 'move-to', 'moved'],
            '/almanac/list' => ['of', 'months', 'rise', 'rise-from', 'years'],
            '/almanac/calendar.ics' => ['of', 'months', 'zoom', 'move-to'],
            '/almanac/cheaper' => ['of', 'years'],
            '/deeds/renew' => ['name', 'years', 'without'],
            '/deeds/restore' => ['name', 'reason', 'without'],
            "/accounts/{$this->house->ours->id}/money" => ['amount', 'on'],
            "/clients/{$this->house->foundry->id}/ask" => ['months'],
            "/clients/{$this->house->foundry->id}/laid-out" => ['from', 'until'],
            "/clients/{$this->house->foundry->id}/laid-out/list" => ['from', 'until'],
        ];
        $this->actingAs($this->house->owner);
        foreach ($pages as $path => $words) {
            foreach ($words as $word) {
                foreach (
                    [
                        'x',
                        "'",
                        "\x80",
                        '99999999999999999999',
                        ['x'],
                        '..',
                        '2026-01-01..',
                        '..2026-13-45',
                        '9999-12-31..',
                        'a,b,,c',
                        str_repeat('x,', 400),
                        '2026-13-45 00:00:00+00~1',
                        '2026-10-06 25:00:00+00~1',
                        '0001-01-01',
                        '9223372036854775808',
                        base64_encode('{"id":1}'),
                        base64_encode('{"id":"x","_pointsToNextItems":true}'),
                    ] as $said
                ) {
                    $address =
                        $path.
                        (str_contains($path, '?') ? '&' : '?').
                        http_build_query([
                            ...str_starts_with($path, '/deeds') || $path === '/hand-over' ? ['name' => 'bell.com'] : [],
                            $word => $said,
                        ]);
                    self::assertContains($this->get($address)->getStatusCode(), [200, 302, 404, 422], $address);
                }
            }
        }
    }

    public function test_rough_forms_write_nothing(): void
    {
        $forms = [
            '/hand-over' => ['of', 'name', 'receiver', 'client', 'by', 'token', 'shown', 'act'],
            '/hand-over/list' => ['names'],
            '/clients' => ['name', 'mailbox'],
            '/accounts' => ['registrar_id', 'number', 'access'],
            "/registrars/{$this->house->skerry->id}/prices" => ['suffix', 'action', 'amount', 'currency', 'tax_percent', 'since'],
            "/registrars/{$this->house->skerry->id}/offers" => [
                'offer_suffix',
                'offer_action',
                'offer_percent',
                'offer_amount',
                'offer_currency',
                'offer_code',
                'offer_since',
                'offer_until',
                'offer_first_only',
            ],
            '/almanac/rates' => ['currency', 'to_currency', 'rate', 'on_day', 'of'],
            '/sheaf' => ['names'],
            '/imports' => ['registrar', 'account', 'client', 'list', 'new_registrar', 'new_account'],
            "/clients/{$this->house->foundry->id}/merge" => ['other'],
            '/servers/sets' => ['name', 'kind', 'registrar_id', 'operator', 'servers', 'gives_zones', 'of'],
            '/servers/sets/letter' => ['letter', 'of'],
            '/servers/faults' => ['finding', 'host'],
            '/registrars' => ['name', 'receiver_by', 'confirms', 'accept_days', 'extras'],
        ];
        foreach ($forms as $path => $keys) {
            for ($case = 0; $case < 15; $case++) {
                $values = $this->some($keys);
                self::assertContains(
                    $this->from('/roll')->post($path, $values)->getStatusCode(),
                    [302, 403, 404, 419, 422],
                    $path.' '.json_encode($values, JSON_INVALID_UTF8_SUBSTITUTE),
                );
            }
        }
        self::assertSame([0, 0], [Docket::query()->count(), Import::query()->count()]);
    }

    public function test_rough_signing_in_is_answered(): void
    {
        auth()->forgetGuards();
        for ($case = 0; $case < 20; $case++) {
            self::assertContains($this->from('/sign-in')->post('/sign-in', $this->some(['email', 'password']))->getStatusCode(), [
                302,
                429,
            ]);
        }
        $this->assertGuest();
    }

    public function test_rough_lists_end_in_a_preview_or_in_words(): void
    {
        config(['house.uploads_a_minute' => 1_000]);
        Storage::fake();
        for ($case = 0; $case < 25; $case++) {
            $content = "name,ends,client\n";
            for ($line = $this->random->getInt(1, 6); $line > 0; $line--) {
                $cell = $this->rough();
                $content .=
                    (is_string($cell) ? $cell : 'bell').
                    $line.
                    '.com,'.
                    self::ROUGH[$this->random->getInt(0, count(self::ROUGH) - 1)].
                    ','.
                    self::ROUGH[$this->random->getInt(0, count(self::ROUGH) - 1)].
                    "\n";
            }
            $this->from('/imports')
                ->post('/imports', [
                    'list' => UploadedFile::fake()->createWithContent('list.csv', $content),
                    'registrar' => $this->house->skerry->id,
                    'account' => $this->house->ours->id,
                    'client' => $this->house->harrow->id,
                ])
                ->assertRedirect();
            $import = Import::query()->latest('id')->first();
            if ($import === null || $import->state !== ImportState::Uploaded) {
                continue;
            }
            $this->post("/imports/{$import->id}/columns", ['columns' => ['name', 'ends', 'client'], 'order' => 'ymd'])->assertRedirect();
            self::assertSame(ImportState::Read, $import->refresh()->state);
            foreach (['new', 'changed', 'same', 'refused', 'rough'] as $verdict) {
                $this->get("/imports/{$import->id}?verdict={$verdict}")->assertOk();
            }
            $this->post("/imports/{$import->id}/write")->assertRedirect();
            self::assertSame(ImportState::Done, $import->refresh()->state);
            $this->get("/imports/{$import->id}")->assertOk();
        }
        $this->get('/roll')->assertOk();
    }

    /** Every field of every form, given a list where a text is due, and then the next page. */
    public function test_a_list_where_a_text_is_due_is_refused_and_the_next_page_is_whole(): void
    {
        $this->actingAs($this->house->owner);
        $pages = [
            '/clients/create',
            '/registrars/create',
            '/accounts/create',
            '/contacts/create',
            '/names/bell.com/edit',
            '/people/create',
            '/house',
            '/me',
            '/received/create',
            '/patterns/create',
            '/letters/yearly',
            '/custody',
            "/registrars/{$this->house->skerry->id}",
            "/accounts/{$this->house->ours->id}",
            '/sheaf',
            '/record',
            '/imports',
            '/names/bell.com',
            "/clients/{$this->house->foundry->id}/edit",
            "/clients/{$this->house->foundry->id}/ask",
            "/accounts/{$this->house->ours->id}/money",
            "/registrars/{$this->house->skerry->id}/edit",
        ];
        $fields = 0;
        foreach ($pages as $page) {
            preg_match_all(
                '~<form\b[^>]*\bmethod="post"[^>]*\baction="http://[^"/]+(/[^"]*)"[^>]*>(.*?)</form>~s',
                (string) $this->get($page)->assertOk()->getContent(),
                $forms,
                PREG_SET_ORDER,
            );
            foreach ($forms as [, $action, $inside]) {
                preg_match_all('/\bname="([a-z_]+)(?:\[[^"]*\])?"/', $inside, $names);
                // Days are held against each other: the others are right.
                preg_match_all('/<input[^>]* name="([a-z_]+)"[^>]* type="date"/', $inside, $days);
                $right = array_fill_keys($days[1], '2027-01-01');
                $method = preg_match('/name="_method" value="(\w+)"/', $inside, $found) === 1 ? strtoupper($found[1]) : 'POST';
                if (str_contains($action, 'sign-out') || str_ends_with($action, '/me/sessions')) {
                    continue;
                }
                foreach (array_diff(array_unique($names[1]), ['_token', '_method']) as $field) {
                    $fields++;
                    foreach ([[$field => [['x'], 'y']], [$field => [['x'], 'y']] + $right, [$field => "\x80\0\u{202E}"]] as $sent) {
                        $answer = $this->from($page)->call($method, $action, $sent);
                        self::assertContains($answer->getStatusCode(), [200, 302, 403, 404, 422, 429], "{$method} {$action} {$field}");
                        self::assertContains($this->get($page)->getStatusCode(), [200, 302], "{$page} after {$field}");
                    }
                }
            }
        }
        self::assertGreaterThan(60, $fields);
    }

    public function test_of_a_stranger_only_a_mailbox_is_kept_and_of_nobody_what_is_large(): void
    {
        auth()->forgetGuards();
        $this->from('/sign-in')
            ->post('/sign-in', [
                'email' => 'nobody@harrow-tern.example',
                'password' => str_repeat('x', 2_000),
                'other' => str_repeat('y', 100_000),
            ])
            ->assertSessionHasInput('email', 'nobody@harrow-tern.example');
        self::assertSame(['email'], array_keys((array) session()->getOldInput()));
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => str_repeat('z', 20_000_000), 'password' => 'x'])
            ->assertSessionHasErrors('email');
        self::assertSame([], (array) session()->getOldInput());
        self::assertLessThan(5_000, strlen(serialize(session()->all())));
        $this->actingAs($this->house->clerk)
            ->from('/clients/create')
            ->post('/clients', ['name' => '', 'remarks' => str_repeat('y', 300_000), 'mailbox' => 'desk@bells.example'])
            ->assertSessionHasErrors('name');
        self::assertSame(['mailbox'], array_keys((array) session()->getOldInput()));
    }
}
