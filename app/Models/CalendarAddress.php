<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use SensitiveParameter;

/**
 * A private address at which a calendar program reads a sentence of the Roll. Only its digest is kept.
 *
 * @property int $id
 * @property int $user_id
 * @property array<string, string|int> $sentence
 * @property string $digest
 * @property Carbon|null $asked_at
 * @property Carbon $created_at
 */
final class CalendarAddress extends Model
{
    protected $guarded = ['id'];

    protected $attributes = ['asked_at' => null];

    protected $casts = ['sentence' => 'array', 'asked_at' => 'datetime'];

    /** That of somebody who may still sign in. */
    public static function of(#[SensitiveParameter] string $token): ?self
    {
        return self::query()
            ->where('digest', self::digest($token))
            ->whereHas('user', fn (Builder $user) => $user->where('may_sign_in', true))
            ->first();
    }

    public static function digest(#[SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
