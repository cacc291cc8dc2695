<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * That a name's code is kept, and since when; the code itself is a secret.
 *
 * @property int $name_id
 * @property int $secret_id
 * @property Instant $got_on
 * @property bool|null $fits whether its registry took it, when it was tried; null: nobody has
 * @property string $got_from `registrar` or `typed`
 */
final class AuthCode extends Model
{
    protected $primaryKey = 'name_id';

    public $incrementing = false;

    protected $guarded = [];

    protected $casts = ['got_on' => AsInstant::class, 'fits' => 'boolean'];
}
