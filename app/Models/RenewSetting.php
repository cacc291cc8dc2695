<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * Whether a name is set to auto-renew at its registrar.
 *
 * @property int $name_id
 * @property int $account_id in which it was asked
 * @property bool|null $renews null: the registrar doesn't say
 * @property Instant|null $said_at
 * @property Instant $asked_at
 */
final class RenewSetting extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name_id';

    protected $guarded = [];

    protected $casts = ['renews' => 'boolean', 'said_at' => AsInstant::class, 'asked_at' => AsInstant::class];
}
