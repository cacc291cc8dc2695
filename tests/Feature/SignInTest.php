<?php

declare(strict_types=1);

namespace Tests\Feature;

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
        $this->get('/roll')->assertRedirect('/sign-in');
    }

    public function test_the_right_password_opens_the_roll_with_a_new_session(): void
    {
        $this->odile();
        $this->get('/sign-in')->assertOk()->assertSee('Sign in');
        $before = session()->getId();
        $this->post('/sign-in', ['email' => 'odile@harrow-tern.example', 'password' => self::PASSWORD])->assertRedirect('/roll');
        self::assertNotSame($before, session()->getId());
        $this->get('/roll')->assertOk()->assertSee('Odile');
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

    public function test_an_empty_house_makes_its_first_owner_once(): void
    {
        $this->get('/sign-in')->assertRedirect('/begin');
        $form = ['name' => 'Theo Tern', 'email' => 'theo@harrow-tern.example', 'password' => self::PASSWORD, 'password_confirmation' => self::PASSWORD];
        $this->post('/begin', $form)->assertRedirect('/bring-in');
        self::assertSame(Role::Owner, User::query()->sole()->role);
        $this->post('/sign-out');
        $this->post('/begin', ['email' => 'second@harrow-tern.example'] + $form)->assertForbidden();
        self::assertSame(1, User::query()->count());
    }
}
