<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsSecret;
use Illuminate\Database\Eloquent\Model;

/**
 * A code or a password; everything else refers to it by id, and only whoever needs it opens it.
 *
 * @property int $id
 * @property string $kind
 * @property string $about
 * @property string $value
 */
final class Secret extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['kind', 'about', 'value'];

    protected $hidden = ['value'];

    protected $casts = ['value' => AsSecret::class];
}
