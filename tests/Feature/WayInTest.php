<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Wire\Otp\Totp;
use App\Actions\Deeds\PrepareDocket;
use App\Models\User;
use App\Support\Dates;
use App\Support\HouseSettings;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** One's own way in: sessions seen and ended, the second factor, what each role may; and the log that tells of it. */
final class WayInTest extends TestCase
{
    private const SET = ['currency' => 'GBP', 'zone' => 'UTC', 'dates' => 'words', 'served' => 'client'];

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    private function secret(): string
    {
        $page = (string) $this->get('/me/second')->assertOk()->getContent();
        preg_match('/secret=([A-Z2-7]+)/', $page, $found);
        $kept = session('second_factor_secret');
        self::assertIsString($kept);
        $secret = (string) base64_decode($kept, true);
        self::assertSame([Totp::base32($secret)], array_slice($found, 1));

        return $secret;
    }

    /** @return list<string> recovery codes */
    private function setUpSecond(string $secret): array
    {
        $page = (string) $this->post('/me/second', ['code' => Totp::code($secret, time() - 30), 'password' => House::PASSWORD])
            ->assertOk()
            ->getContent();
        preg_match_all('/\b(?:[0-9a-f]{4}-){3}[0-9a-f]{4}\b/', $page, $found);
        self::assertCount(10, $found[0]);

        return $found[0];
    }

    public function test_a_second_factor_is_asked_for_and_no_code_is_taken_twice(): void
    {
        $user = $this->house->clerk;
        $this->actingAs($user);
        $secret = $this->secret();
        $this->from('/me/second')
            ->post('/me/second', ['code' => '000000', 'password' => House::PASSWORD])
            ->assertSessionHasErrors('code');
        $this->from('/me/second')
            ->post('/me/second', ['code' => Totp::code($secret, time()), 'password' => 'wrong'])
            ->assertSessionHasErrors('password');
        $codes = $this->setUpSecond($secret);
        self::assertStringNotContainsString($secret, (string) json_encode(DB::table('users')->find($user->id)));
        self::assertSame($secret, $user->refresh()->otp_secret);
        $this->post('/sign-out');
        $this->travel(2)->minutes();

        $this->post('/sign-in', ['email' => $user->email, 'password' => House::PASSWORD])->assertRedirect('/sign-in/second');
        $this->get('/rounds')->assertRedirect('/sign-in');
        // The code that set it up is used.
        $this->from('/sign-in/second')
            ->post('/sign-in/second', ['code' => Totp::code($secret, time() - 30)])
            ->assertSessionHasErrors('code');
        $now = Totp::code($secret, time());
        $this->post('/sign-in/second', ['code' => substr($now, 0, 3).' '.substr($now, 3)])->assertRedirect('/rounds');
        $this->get('/me')->assertOk()->assertSee('You have 10 recovery codes left');
        $this->post('/sign-out');
        $this->travel(2)->minutes();

        $this->post('/sign-in', ['email' => $user->email, 'password' => House::PASSWORD]);
        $this->from('/sign-in/second')
            ->post('/sign-in/second', ['code' => $now])
            ->assertSessionHasErrors('code');
        $this->post('/sign-in/second', ['code' => strtoupper($codes[3])])->assertRedirect('/rounds');
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $user->email, 'password' => House::PASSWORD]);
        $this->from('/sign-in/second')
            ->post('/sign-in/second', ['code' => $codes[3]])
            ->assertSessionHasErrors('code');
    }

    public function test_without_the_password_before_it_no_code_opens(): void
    {
        $this->get('/sign-in/second')->assertRedirect('/sign-in');
        $this->post('/sign-in/second', ['code' => '123456'])->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $this->house->clerk->email, 'password' => 'wrong'])->assertSessionHasErrors('email');
        $this->get('/sign-in/second')->assertRedirect('/sign-in');
    }

    public function test_it_is_taken_off_with_the_password(): void
    {
        $this->actingAs($this->house->clerk);
        $codes = $this->setUpSecond($this->secret());
        $this->from('/me')
            ->delete('/me/second', ['password' => 'wrong', 'code' => $codes[0]])
            ->assertSessionHasErrors('password');
        $this->delete('/me/second', ['password' => House::PASSWORD])->assertSessionHasErrors('code');
        $this->delete('/me/second', ['password' => House::PASSWORD, 'code' => '000000'])->assertSessionHasErrors('code');
        self::assertNotNull($this->house->clerk->refresh()->otp_secret, 'whoever has the password alone does not take it off');
        $this->delete('/me/second', ['password' => House::PASSWORD, 'code' => $codes[0]])->assertRedirect('/me');
        self::assertNull($this->house->clerk->refresh()->otp_secret);
        self::assertSame(0, DB::table('recovery_codes')->count());
    }

    public function test_an_owner_takes_off_what_somebody_has_lost(): void
    {
        $this->actingAs($this->house->clerk);
        $this->setUpSecond($this->secret());
        $this->delete("/people/{$this->house->clerk->id}/second")->assertForbidden();
        $this->actingAs($this->house->owner)
            ->get("/people/{$this->house->clerk->id}/edit")
            ->assertSee('Their second factor');
        $this->delete("/people/{$this->house->clerk->id}/second")->assertRedirect();
        self::assertNull($this->house->clerk->refresh()->otp_secret);
        self::assertSame($this->house->owner->id, DB::table('log')->where('event', 'second_factor_off')->value('user_id'));
        $this->get("/people/{$this->house->clerk->id}/edit")->assertDontSee('Their second factor');
    }

    public function test_sessions_are_seen_and_ended_each_by_whose_they_are(): void
    {
        $put = fn (string $id, User $of) => DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $of->id,
            'ip_address' => '198.51.100.7',
            'user_agent' => "A Program {$id}",
            'payload' => '',
            'last_activity' => 1_790_000_000,
        ]);
        $put('one', $this->house->clerk);
        $put('two', $this->house->clerk);
        $put('three', $this->house->clerk);
        $put('other', $this->house->owner);
        $this->actingAs($this->house->clerk)
            ->get('/me')
            ->assertSee('A Program one')
            ->assertSee('198.51.100.7')
            ->assertDontSee('A Program other')
            ->assertDontSee('"one"', false);
        $this->post('/me/sessions', ['session' => hash('sha256', 'other')]);
        $this->post('/me/sessions', ['session' => hash('sha256', 'two')])->assertRedirect('/me');
        self::assertSame(['one', 'other', 'three'], DB::table('sessions')->orderBy('id')->pluck('id')->all());
        $this->post('/me/sessions', ['session' => 'others']);
        self::assertSame(['other'], DB::table('sessions')->pluck('id')->all());
    }

    public function test_the_log_is_searched_by_whoever_runs_the_house(): void
    {
        $this->house->name('bell.com');
        $this->actingAs($this->house->clerk)->post('/names/bell.com/notes', ['note' => 'Asked for by telephone']);
        $this->put('/names/bell.com', [
            'ends_on' => '2028-11-02',
            'intent' => 'lapse',
            'lock' => 'on',
            'version' => 1,
        ])->assertSessionHasNoErrors();
        $this->get('/log')->assertForbidden();
        $this->actingAs($this->house->owner)
            ->get('/log')
            ->assertOk()
            ->assertSeeInOrder(['Clerk Tern', 'Its details were changed', 'bell.com', '127.0.0.1']);
        $this->get('/log?event=facts_changed&q=bell')->assertSee('bell.com');
        $this->get('/log?q=nobody-wrote-this')->assertSee('No entries match');
        $this->get("/log?person={$this->house->reader->id}")->assertDontSee('bell.com');
        $this->get('/log?person=x&before=y&event=%00')->assertOk();
    }

    public function test_what_each_role_may_is_one_page(): void
    {
        $this->actingAs($this->house->owner)
            ->get('/people/roles')
            ->assertOk()
            ->assertSeeInOrder(['Owner', 'Steward', 'Clerk', 'Reader', 'See everything', 'may', 'Settle deeds', 'may not']);
        $this->actingAs($this->house->clerk)->get('/people/roles')->assertForbidden();
    }

    public function test_an_administrator_has_departments_their_own_days_and_their_own_clock(): void
    {
        $this->house->name('bell.com', facts: ['intent' => 'ask_client', 'ends_on' => Instant::of('2026-10-30')]);
        $this->actingAs($this->house->owner)
            ->get('/roll')
            ->assertSeeInOrder(['Find a name, account or client', 'every client', 'Client to decide by']);
        $this->put('/house', [...self::SET, 'zone' => 'Mars/Utopia', 'dates' => 'runes', 'served' => 'subjects'])->assertSessionHasErrors([
            'zone',
            'dates',
            'served',
        ]);
        $this->put('/house', [
            ...self::SET,
            'zone' => 'Pacific/Auckland',
            'dates' => 'iso',
            'served' => 'department',
        ])->assertSessionHasNoErrors();
        $this->get('/roll')
            ->assertSeeInOrder(['Find a name, account or department', 'every department', 'Department to decide by'])
            ->assertDontSee('every client');
        $this->get('/clients')->assertSee('Departments')->assertSee('A department is neither the registrant');
        // Half past nine in the evening of the sixth in UTC is the seventh there; a day stays the trade's.
        self::assertSame('2026-10-07, 10:30 NZDT', Dates::exact(Instant::of('2026-10-06T21:30:00Z')));
        self::assertSame(
            ['2026-10-06', '10-06'],
            [Dates::exact(Instant::of('2026-10-06')), Dates::short(Instant::of('2026-10-06T21:30:00Z'))],
        );
    }

    public function test_the_house_sets_its_currency_its_letterhead_and_four_eyes(): void
    {
        $this->actingAs($this->house->clerk)->get('/house')->assertForbidden();
        $this->actingAs($this->house->owner)->get('/house')->assertOk()->assertSee('GBP');
        $this->from('/house')
            ->put('/house', [...self::SET, 'currency' => 'euro', 'letterhead' => 'x'])
            ->assertSessionHasErrors('currency');
        $this->put('/house', [
            ...self::SET,
            'currency' => 'EUR',
            'letterhead' => "Harrow & Tern\r\n1 Tern Lane",
            'four_eyes' => '1',
        ])->assertSessionHasNoErrors();
        $this->get("/clients/{$this->house->foundry->id}/sheet")->assertSeeInOrder(
            ['Harrow &amp; Tern<br>', '1 Tern Lane', 'Domain names of'],
            false,
        );
        $this->house->name('bell.com');
        $this->put('/names/bell.com', [
            'intent' => 'lapse',
            'lock' => 'on',
            'own_renewal' => '1.200,50',
            'version' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame(['1200.50', 'EUR'], array_values((array) DB::table('registrations')->first(['own_renewal', 'own_currency'])));
        $this->get('/log?event=house_set')->assertSee('Harrow');
        $this->get('/log?event=facts_changed')->assertSee('intent: renew on request → let lapse');
    }

    public function test_over_so_many_names_who_prepared_may_not_settle(): void
    {
        app(HouseSettings::class)->set(['four_eyes' => 1]);
        $names = array_map(fn (int $n): int => $this->house->name("bell-{$n}.com")->id, [1, 2]);
        $prepare = fn (int ...$ids) => app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'change_intent',
            array_values($ids),
            ['intent' => 'lapse'],
            array_values($ids),
        );
        $one = $prepare($this->house->name('one.com')->id);
        $two = $prepare(...$names);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$two->id}")
            ->assertSee('somebody other than you must settle it')
            ->assertDontSee('Begin:');
        $this->post("/dockets/{$two->id}/settle")->assertForbidden();
        $this->post("/dockets/{$one->id}/settle")->assertRedirect();
        $this->actingAs($this->house->owner)
            ->get("/dockets/{$two->id}")
            ->assertSee('Start:');
        $this->post("/dockets/{$two->id}/settle")->assertRedirect();
        self::assertSame(2, $two->lines()->where('state', 'done')->count());
    }
}
