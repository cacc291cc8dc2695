<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Client;
use App\Models\Role;
use App\Models\User;
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
        $this->from('/sign-in')->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => 'wrong'])
            ->assertRedirect('/sign-in')->assertSessionHasErrors('email')->assertSessionHasInput('email', 'odile@harrow-tern.example');
        $this->assertGuest();
    }

    public function test_the_sixth_try_in_a_minute_is_refused_whatever_the_capitals(): void
    {
        $this->odile();
        foreach (range(1, 5) as $try) {
            $this->post('/sign-in', ['email' => $try % 2 === 0 ? 'Odile@harrow-tern.example' : 'odile@harrow-tern.example', 'password' => 'wrong']);
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

    public function test_an_owner_says_who_signs_in_and_one_owner_always_stays(): void
    {
        $odile = $this->odile();
        $form = ['name' => 'Maud', 'email' => 'maud@harrow-tern.example', 'role' => 'clerk', 'may_sign_in' => '1', 'password' => self::PASSWORD, 'password_confirmation' => self::PASSWORD];
        $this->actingAs($odile)->post('/people', $form)->assertSessionHasNoErrors()->assertRedirect('/people');
        $maud = User::query()->where('email', 'maud@harrow-tern.example')->sole();
        $this->post('/people', ['email' => 'MAUD@harrow-tern.example'] + $form)->assertSessionHasErrors('email');
        $this->put("/people/{$maud->id}", ['may_sign_in' => '0', 'password' => '', 'password_confirmation' => ''] + $form)->assertSessionHasNoErrors();
        $this->put("/people/{$odile->id}", ['name' => 'Odile', 'email' => $odile->email, 'role' => 'reader', 'may_sign_in' => '1'])->assertSessionHasErrors('role');
        $this->put("/people/{$odile->id}", ['name' => 'Odile', 'email' => $odile->email, 'role' => 'owner', 'may_sign_in' => '0'])->assertSessionHasErrors('may_sign_in');
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => 'maud@harrow-tern.example', 'password' => self::PASSWORD])->assertSessionHasErrors('email');
        $this->actingAs($maud)->get('/people')->assertForbidden();
    }

    public function test_an_empty_house_makes_its_first_owner_once(): void
    {
        $this->get('/sign-in')->assertRedirect('/begin');
        $form = ['house' => 'Harrow & Tern', 'name' => 'Theo Tern', 'email' => 'theo@harrow-tern.example', 'password' => self::PASSWORD, 'password_confirmation' => self::PASSWORD];
        $this->post('/begin', $form)->assertRedirect('/bring-in');
        self::assertSame(Role::Owner, User::query()->sole()->role);
        self::assertSame('Harrow & Tern', Client::query()->where('is_house', true)->sole()->name);
        $this->get('/bring-in')->assertSee('Whose list it is');
        $this->post('/sign-out');
        $this->post('/begin', ['email' => 'second@harrow-tern.example'] + $form)->assertForbidden();
        self::assertSame(1, User::query()->count());
    }
}
