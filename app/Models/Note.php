<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody recorded about a name, an account or a client, with a file if need be.
 *
 * @property int $id
 * @property int $user_id
 * @property string $text
 * @property string|null $file the name that it was sent under
 * @property string|null $path in the storage
 * @property int|null $size bytes
 * @property CarbonInterface $created_at
 * @property-read User $user
 */
final class Note extends Model
{
    protected $fillable = ['name_id', 'account_id', 'client_id', 'user_id', 'text', 'file', 'path', 'size'];

    protected $attributes = ['text' => '', 'file' => null, 'path' => null, 'size' => null];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
