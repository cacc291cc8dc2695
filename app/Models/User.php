<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsSecret;
use Illuminate\Foundation\Auth\User as Authenticatable;
use SensitiveParameter;

/**
 * A person who signs in.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string|null $password null: nobody has set one yet
 * @property Role $role
 * @property bool $may_sign_in
 * @property string|null $otp_secret bytes of the second factor
 * @property int|null $otp_step the last step of which a code was taken
 * @property bool $morning whether they want Rounds as a letter every morning
 * @property array<string, mixed> $looks
 */
final class User extends Authenticatable
{
    protected $fillable = [
        'name',
        'email',
        'password',
        'role',
        'may_sign_in',
        'looks',
        'morning',
        'otp_secret',
        'otp_step',
        'password_set_at',
    ];

    protected $attributes = [
        'may_sign_in' => true,
        'looks' => '{}',
        'morning' => false,
        'otp_secret' => null,
        'otp_step' => null,
        'password' => null,
    ];

    protected $hidden = ['password', 'otp_secret'];

    /** Sessions end; nobody is remembered past them. */
    protected $rememberTokenName = '';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'may_sign_in' => 'boolean',
            'looks' => 'array',
            'morning' => 'boolean',
            'otp_secret' => AsSecret::class,
        ];
    }

    /** However its letters are written; PostgreSQL's own folding, which the unique index goes by. */
    public static function atMailbox(string $mailbox): ?self
    {
        return self::query()
            ->whereRaw('lower(email) = lower(?)', [trim($mailbox)])
            ->first();
    }

    public static function enrol(string $name, string $email, #[SensitiveParameter] ?string $password, Role $role): self
    {
        return self::query()->create(['name' => $name, 'email' => $email, 'password' => $password, 'role' => $role]);
    }
}
