<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A sentence of the Roll, kept by name with the columns it was seen in.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property array{words: array<string, string|int>, looks: array<string, mixed>} $sentence
 * @property bool $shared
 * @property User $user
 */
final class SavedView extends Model
{
    protected $table = 'views';

    protected $fillable = ['user_id', 'name', 'sentence', 'shared'];

    protected $casts = ['sentence' => 'array', 'shared' => 'boolean'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
