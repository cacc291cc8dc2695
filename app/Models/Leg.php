<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Finding\Actor;
use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * One step of a movement.
 *
 * @property int $id
 * @property int $movement_id
 * @property int $position
 * @property LegKind $kind
 * @property Actor $actor
 * @property Instant|null $due_by
 * @property Instant|null $likely_by when it usually is over; null: nobody knows better
 * @property Instant|null $done_on
 */
final class Leg extends Model
{
    protected $guarded = ['id'];

    protected $casts = [
        'kind' => LegKind::class,
        'actor' => Actor::class,
        'due_by' => AsInstant::class,
        'likely_by' => AsInstant::class,
        'done_on' => AsInstant::class,
    ];
}
