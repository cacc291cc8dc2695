<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Movement\ExtraKind;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * What was bought with a name.
 *
 * @property int $id
 * @property int $registration_id
 * @property ExtraKind $kind
 * @property Instant|null $ends_on
 * @property Instant|null $ended_on
 * @property bool $renews whether it goes on by itself
 */
final class Extra extends Model
{
    protected $guarded = ['id'];

    protected $casts = ['kind' => ExtraKind::class, 'ends_on' => AsInstant::class, 'ended_on' => AsInstant::class, 'renews' => 'boolean'];
}
