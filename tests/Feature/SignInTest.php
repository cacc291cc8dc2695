<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Otp\Totp;
use App\Actions\People\SecondFactor;
use App\Jobs\SendPost;
use App\Models\Client;
use App\Models\Letter;
use App\Models\Role;
use App\Models\Secret;
use App\Models\User;
use App\Support\BeginCode;
use App\Support\Row;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    private const PASSWORD = 'seven herring gulls';

    private function odile(): User
    {
        return User::enrol('Odile Harrow', 'odile@harrow-tern.example', self::PASSWORD, Role::Owner);
    }

    public function test_a_guest_is_sent_to_the_door(): void
    {
        $this->odile();
        $this->get('/rounds')->assertRedirect('/sign-in');
    }

    public function test_the_right_password_opens_the_roll_with_a_new_session(): void
    {
        $this->odile();
        $this->get('/sign-in')->assertOk()->assertSee('Sign in');
        $before = session()->getId();
        $this->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => self::PASSWORD])->assertRedirect('/rounds');
        self::assertNotSame($before, session()->getId());
        $this->get('/rounds')->assertOk()->assertSee('Odile');
    }

    public function test_a_wrong_password_keeps_the_mailbox_and_says_so(): void
    {
        $this->odile();
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => 'wrong'])
            ->assertRedirect('/sign-in')
            ->assertSessionHasErrors('email')
            ->assertSessionHasInput('email', 'odile@harrow-tern.example');
        $this->assertGuest();
    }

    public function test_the_sixth_try_in_a_minute_is_refused_whatever_the_capitals(): void
    {
        $this->odile();
        foreach (range(1, 5) as $try) {
            $this->post('/sign-in', [
                'email' => $try % 2 === 0 ? 'Odile@harrow-tern.example' : 'odile@harrow-tern.example',
                'password' => 'wrong',
            ]);
        }
        $this->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => self::PASSWORD])->assertTooManyRequests();
        $this->assertGuest();
    }

    public function test_signing_out_ends_the_session(): void
    {
        $this->actingAs($this->odile())->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_capitals_in_the_mailbox_do_not_matter(): void
    {
        $this->odile();
        $this->post('/sign-in', ['email' => ' ODILE@harrow-tern.example', 'password' => self::PASSWORD])->assertRedirect('/rounds');
    }

    /** Where no letter can be sent an Owner gives the first password. */
    public function test_an_owner_says_who_signs_in_and_one_owner_always_stays(): void
    {
        config(['mail.default' => 'array']);
        $odile = $this->odile();
        $form = [
            'name' => 'Maud',
            'email' => 'maud@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => '1',
            'password' => self::PASSWORD,
            'password_confirmation' => self::PASSWORD,
        ];
        $this->actingAs($odile)->post('/people', $form)->assertSessionHasNoErrors()->assertRedirect('/people');
        $maud = User::query()->where('email', 'maud@harrow-tern.example')->sole();
        $this->post('/people', ['email' => 'MAUD@harrow-tern.example'] + $form)->assertSessionHasErrors('email');
        $this->put(
            "/people/{$maud->id}",
            ['may_sign_in' => '0', 'password' => '', 'password_confirmation' => ''] + $form,
        )->assertSessionHasNoErrors();
        $this->put("/people/{$odile->id}", [
            'name' => 'Odile',
            'email' => $odile->email,
            'role' => 'reader',
            'may_sign_in' => '1',
        ])->assertSessionHasErrors('role');
        $this->put("/people/{$odile->id}", [
            'name' => 'Odile',
            'email' => $odile->email,
            'role' => 'owner',
            'may_sign_in' => '0',
        ])->assertSessionHasErrors('may_sign_in');
        // Their own they change with the current one, on their own page.
        $this->put("/people/{$odile->id}", [
            'name' => 'Odile',
            'email' => $odile->email,
            'role' => 'owner',
            'may_sign_in' => '1',
            'password' => 'another herring gull',
            'password_confirmation' => 'another herring gull',
        ])->assertSessionHasErrors('password');
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => 'maud@harrow-tern.example', 'password' => self::PASSWORD])->assertSessionHasErrors('email');
        $this->actingAs($maud)->get('/people')->assertForbidden();
    }

    /** The path of the link in the letter that was written last. */
    private static function link(): string
    {
        return (string) parse_url(Secret::query()->where('kind', 'link')->latest('id')->firstOrFail()->value, PHP_URL_PATH);
    }

    public function test_people_are_invited_by_letter_and_set_their_own_password(): void
    {
        Queue::fake();
        config(['mail.default' => 'listed']);
        $this->actingAs($this->odile())->get('/people/create')->assertSee('set their own password')->assertDontSee('Password again');
        $form = ['name' => 'Maud', 'email' => 'maud@harrow-tern.example', 'role' => 'clerk', 'may_sign_in' => '1'];
        $this->post('/people', ['password' => self::PASSWORD, 'password_confirmation' => self::PASSWORD] + $form)->assertSessionHasErrors(
            'password',
        );
        $this->post('/people', $form)
            ->assertSessionHasNoErrors()
            ->assertSessionHas('told', 'Maud has been sent an invitation to set their own password.');
        $maud = User::query()->where('email', 'maud@harrow-tern.example')->sole();
        self::assertSame(
            [null, 'maud@harrow-tern.example', Letter::LINK],
            [
                $maud->password,
                Letter::query()->sole()->mailbox,
                preg_match('/\{link\}/', Letter::query()->sole()->body, $found) === 1 ? $found[0] : '',
            ],
        );
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => 'maud@harrow-tern.example', 'password' => ''])->assertSessionHasErrors('password');
        $link = self::link();
        $this->get($link)->assertOk()->assertSee('Welcome to')->assertHeader('Cache-Control', 'no-store, private');
        foreach (
            [
                ['short', 'short'],
                ['maudmaudmaud', 'maudmaudmaud'],
                ['password1234', 'password1234'],
                [str_repeat('é', 40), str_repeat('é', 40)],
                [self::PASSWORD, 'seven herring gull'],
            ] as [$password, $again]
        ) {
            $this->post($link, ['password' => $password, 'password_confirmation' => $again])->assertUnprocessable();
        }
        $this->post($link, ['password' => ['x'], 'password_confirmation' => ['x']])->assertUnprocessable();
        $this->post($link, ['password' => self::PASSWORD, 'password_confirmation' => self::PASSWORD])
            ->assertOk()
            ->assertSee('Your password is set');
        $this->post($link, ['password' => 'eight herring gulls', 'password_confirmation' => 'eight herring gulls'])->assertGone();
        $this->post('/sign-in', ['email' => 'maud@harrow-tern.example', 'password' => self::PASSWORD])->assertRedirect('/rounds');
        self::assertSame(
            ['invited', 'password_set', 'signed_in'],
            DB::table('log')
                ->where('subject', 'person')
                ->where('subject_id', $maud->id)
                ->whereIn('event', ['invited', 'password_set', 'signed_in'])
                ->orderBy('id')
                ->pluck('event')
                ->all(),
        );
    }

    /** Each at the mailbox where somebody would hear of it who didn't do it (OWASP ASVS 4.0.3, 2.2.3). */
    public function test_people_are_written_to_when_their_way_in_has_changed(): void
    {
        Queue::fake([SendPost::class]);
        $maud = User::query()->create([
            'name' => 'Maud',
            'email' => 'maud@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => true,
            'password' => self::PASSWORD,
        ]);
        $secret = SecondFactor::secret();
        app(SecondFactor::class)->begin($maud, $secret, Totp::code($secret, time()));
        $this->actingAs($maud)
            ->put('/me/password', [
                'current_password' => self::PASSWORD,
                'password' => 'eight herring gulls',
                'password_confirmation' => 'eight herring gulls',
            ])
            ->assertSessionHasNoErrors();
        $this->actingAs($this->odile())
            ->delete("/people/{$maud->id}/second")
            ->assertSessionHasNoErrors();
        $this->put("/people/{$maud->id}", [
            'name' => 'Maud',
            'email' => 'mw@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => '1',
        ])->assertSessionHasNoErrors();
        $this->put("/people/{$maud->id}", [
            'name' => 'Maud W',
            'email' => 'mw@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => '1',
        ])->assertSessionHasNoErrors();
        self::assertSame(
            ['second_on', 'password', 'second_off', 'mailbox'],
            Letter::query()->where('kind', 'way_in')->where('mailbox', 'maud@harrow-tern.example')->orderBy('id')->pluck('about')->all(),
        );
        self::assertSame(4, Letter::query()->count());
        self::assertStringContainsString('with mw@harrow-tern.example', Letter::query()->latest('id')->firstOrFail()->body);
        Queue::assertPushed(SendPost::class);
    }

    public function test_a_password_changed_twice_on_one_day_is_told_twice(): void
    {
        Queue::fake([SendPost::class]);
        $maud = User::query()->create([
            'name' => 'Maud',
            'email' => 'maud@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => true,
            'password' => self::PASSWORD,
        ]);
        foreach ([[self::PASSWORD, 'eight herring gulls'], ['eight herring gulls', 'nine herring gulls']] as [$before, $after]) {
            $this->actingAs($maud->refresh())
                ->put('/me/password', ['current_password' => $before, 'password' => $after, 'password_confirmation' => $after])
                ->assertSessionHasNoErrors()
                ->assertRedirect();
        }
        self::assertSame(2, Letter::query()->where('kind', 'way_in')->where('about', 'password')->count());
    }

    public function test_what_a_role_does_not_allow_stands_in_the_log_once_a_page(): void
    {
        $maud = User::query()->create([
            'name' => 'Maud',
            'email' => 'maud@harrow-tern.example',
            'role' => 'clerk',
            'may_sign_in' => true,
            'password' => self::PASSWORD,
        ]);
        $this->actingAs($maud)->get('/people')->assertForbidden();
        $this->get('/people?again')->assertForbidden();
        $this->get('/people/create')->assertForbidden();
        self::assertSame(
            ['people.index', 'people.create'],
            DB::table('log')
                ->where('event', 'not_allowed')
                ->where('user_id', $maud->id)
                ->orderBy('id')
                ->pluck('data')
                ->map(fn (mixed $data): string => Row::of(json_decode(is_string($data) ? $data : '{}'))->text('page'))
                ->all(),
        );
    }

    public function test_a_forgotten_password_is_set_anew_by_a_link_that_is_good_once_for_an_hour(): void
    {
        Queue::fake([SendPost::class]);
        $odile = $this->odile();
        $secret = SecondFactor::secret();
        app(SecondFactor::class)->begin($odile, $secret, Totp::code($secret, time() - 30));
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $odile->id, 'payload' => '', 'last_activity' => time()]);
        foreach (['ODILE@harrow-tern.example', 'nobody@harrow-tern.example'] as $mailbox) {
            $this->post('/forgot', ['email' => $mailbox])
                ->assertRedirect('/sign-in')
                ->assertSessionHas(
                    'told',
                    'If somebody signs in here with that mailbox, an e-mail with a link is on its way. The link works for an hour.',
                );
        }
        self::assertSame(1, Letter::query()->where('kind', 'password')->count());
        $first = self::link();
        $this->post('/forgot', ['email' => 'odile@harrow-tern.example']);
        $this->get($first)
            ->assertGone()
            ->assertSee('href="'.route('forgot').'"', false);
        $link = self::link();
        self::assertEqualsWithDelta(
            3_600,
            Row::of(DB::selectOne('SELECT extract(epoch FROM max(expires_at) - clock_timestamp())::int AS left FROM links'))->int('left'),
            60,
        );
        $this->post($link, ['password' => 'eight herring gulls', 'password_confirmation' => 'eight herring gulls'])
            ->assertOk()
            ->assertSee('href="'.route('sign-in').'"', false);
        $this->assertGuest();
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        $this->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => self::PASSWORD])->assertSessionHasErrors('email');
        $this->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => 'eight herring gulls'])->assertRedirect(
            '/sign-in/second',
        );
    }

    public function test_everybody_changes_their_own_password_with_the_current_one(): void
    {
        $odile = $this->odile();
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $odile->id, 'payload' => '', 'last_activity' => time()]);
        $to = ['password' => 'eight herring gulls', 'password_confirmation' => 'eight herring gulls'];
        $this->actingAs($odile)
            ->from('/me')
            ->put('/me/password', ['current_password' => 'wrong'] + $to)
            ->assertSessionHasErrors('current_password');
        $this->put('/me/password', [
            'current_password' => self::PASSWORD,
            'password' => 'odileharrow1',
            'password_confirmation' => 'odileharrow1',
        ])->assertSessionHasErrors('password');
        $this->put(
            '/me/password',
            ['current_password' => self::PASSWORD, 'password_confirmation' => 'other'] + $to,
        )->assertSessionHasErrors('password');
        $this->put('/me/password', ['current_password' => self::PASSWORD] + $to)
            ->assertSessionHasNoErrors()
            ->assertRedirect('/me');
        $this->get('/me')->assertOk();
        self::assertSame(
            [0, true],
            [
                DB::table('sessions')->where('id', 'elsewhere')->count(),
                Hash::check('eight herring gulls', (string) $odile->refresh()->password),
            ],
        );
    }

    /** A browser that was signed in while the password was changed elsewhere is out, wherever sessions are kept. */
    public function test_a_changed_password_ends_what_is_open_elsewhere(): void
    {
        $odile = $this->odile();
        $this->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])->assertRedirect('/rounds');
        $this->get('/rounds')->assertOk();
        User::query()
            ->whereKey($odile->id)
            ->update(['password' => Hash::make('eight herring gulls')]);
        auth()->forgetGuards();
        $this->get('/rounds')->assertRedirect('/sign-in');
    }

    public function test_a_session_ends_after_twelve_hours_whatever_happens(): void
    {
        $odile = $this->odile();
        $this->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD]);
        for ($hour = 1; $hour <= 11; $hour++) {
            $this->get('/rounds')->assertOk();
        }
        session(['signed_in_at' => time() - 43_199]);
        $this->get('/rounds')->assertOk();
        session(['signed_in_at' => time() - 43_200]);
        $this->get('/rounds')
            ->assertRedirect('/sign-in')
            ->assertSessionHas('told', 'You were signed in for twelve hours. Please sign in again.');
        $this->assertGuest();
    }

    /** U+0130 folds to two characters in some places and to one in others. */
    public function test_ways_of_writing_a_mailbox_are_one_limit(): void
    {
        $user = User::enrol('İpek', 'İpek@harrow-tern.example', self::PASSWORD, Role::Owner);
        foreach (
            [
                'İpek@harrow-tern.example',
                'İPEK@harrow-tern.example',
                ' İpek@harrow-tern.example',
                'İpeK@HARROW-TERN.example',
                'İpek@harrow-tern.example',
            ] as $written
        ) {
            $this->post('/sign-in', ['email' => $written, 'password' => 'wrong'])->assertRedirect();
        }
        $this->post('/sign-in', ['email' => 'İPEk@harrow-tern.example', 'password' => self::PASSWORD])->assertTooManyRequests();
        self::assertSame(5, DB::table('log')->where('event', 'sign_in_failed')->where('subject_id', $user->id)->count());
    }

    public function test_who_guesses_elsewhere_does_not_lock_the_owner_out(): void
    {
        $odile = $this->odile();
        $known = $this->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])->getCookie('acre_known');
        self::assertNotNull($known);
        $this->post('/sign-out');
        foreach (range(1, 40) as $guess) {
            $this->call(
                'POST',
                '/sign-in',
                ['email' => $odile->email, 'password' => "guess {$guess}"],
                server: ['REMOTE_ADDR' => '198.51.100.'.$guess % 8],
            );
        }
        $this->call(
            'POST',
            '/sign-in',
            ['email' => $odile->email, 'password' => self::PASSWORD],
            server: ['REMOTE_ADDR' => '198.51.100.99'],
        )->assertTooManyRequests();
        $this->withCookie('acre_known', (string) $known->getValue())
            ->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])
            ->assertRedirect('/rounds');
        $this->post('/sign-out');
        // Somebody else's browser is nobody's for this person, and its own tries are counted.
        $this->withCookie('acre_known', $odile->id + 1 .'|'.str_repeat('a', 32))
            ->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])
            ->assertTooManyRequests();
        foreach (range(1, 5) as $guess) {
            $this->withCookie('acre_known', (string) $known->getValue())->post('/sign-in', [
                'email' => $odile->email,
                'password' => "guess {$guess}",
            ]);
        }
        $this->withCookie('acre_known', (string) $known->getValue())
            ->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])
            ->assertTooManyRequests();
    }

    public function test_nobody_is_sent_to_another_house(): void
    {
        $odile = $this->odile();
        $this->get('/roll?q=bell', ['Host' => 'elsewhere.example'])->assertRedirect(url('/sign-in'));
        session(['url.intended' => 'https://elsewhere.example/roll?q=bell']);
        $this->post('/sign-in', ['email' => $odile->email, 'password' => self::PASSWORD])->assertRedirect(url('/roll?q=bell'));
        self::assertStringNotContainsString('elsewhere', (string) $this->get('/rounds', ['Host' => 'elsewhere.example'])->getContent());
        $this->put('/me/password', [], ['referer' => 'https://elsewhere.example/me'])->assertRedirect(url('/rounds'));
        $this->put('/me/password', [], ['referer' => url('/me')])->assertRedirect(url('/me'));
        $this->put('/me/password', [], ['referer' => url('/').'.elsewhere.example/me'])->assertRedirect(url('/rounds'));
    }

    public function test_what_was_seen_behind_the_door_is_kept_nowhere(): void
    {
        $this->actingAs($this->odile());
        foreach (['/rounds', '/roll', '/me', '/log', '/roll/export/csv'] as $page) {
            self::assertStringContainsString('no-store', (string) $this->get($page)->headers->get('Cache-Control'), $page);
        }
    }

    public function test_an_empty_house_makes_its_first_owner_once(): void
    {
        $this->get('/sign-in')->assertRedirect('/begin');
        $form = [
            'house' => 'Harrow & Tern',
            'name' => 'Theo Tern',
            'email' => 'theo@harrow-tern.example',
            'password' => self::PASSWORD,
            'password_confirmation' => self::PASSWORD,
        ];
        // Whoever finds the page first has no house by that: the code stands where it was started.
        $this->post('/begin', $form)->assertSessionHasErrors('begin_code');
        $code = app(BeginCode::class)->make();
        $this->post('/begin', ['begin_code' => strrev($code)] + $form)->assertSessionHasErrors('begin_code');
        $another = app(BeginCode::class)->make();
        $this->post('/begin', ['begin_code' => $code] + $form)->assertSessionHasErrors('begin_code');
        self::assertStringNotContainsString($another, (string) json_encode(DB::table('settings')->get()));
        $this->post('/begin', ['begin_code' => strtoupper(str_replace('-', ' ', $another))] + $form)->assertRedirect('/imports');
        self::assertFalse(app(BeginCode::class)->is($another), 'it is good once');
        self::assertSame(['house_begun', 'signed_in'], DB::table('log')->orderBy('id')->pluck('event')->all());
        self::assertSame(Role::Owner, User::query()->sole()->role);
        self::assertSame('Harrow & Tern', Client::query()->where('is_house', true)->sole()->name);
        $this->get('/imports')->assertSee('Import names');
        $this->post('/sign-out');
        $this->post('/begin', ['email' => 'second@harrow-tern.example'] + $form)->assertForbidden();
        self::assertSame(1, User::query()->count());
    }
}
