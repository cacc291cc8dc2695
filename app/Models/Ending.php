<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody said of many lines of a docket at once.
 *
 * @property int $id
 * @property int $docket_id
 * @property int $user_id
 * @property string $how `done`, `refused`, `called_off` or `waiting_called_off`
 * @property Instant|null $done_on a day
 * @property string|null $reason
 * @property string|null $lines ids, as PostgreSQL writes a list; null: whatever is open
 * @property CarbonImmutable|null $ended_at
 * @property string|null $failure
 * @property-read User $user
 * @property-read Docket $docket
 */
final class Ending extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $attributes = ['done_on' => null, 'reason' => null, 'lines' => null, 'ended_at' => null, 'failure' => null];

    protected $casts = ['done_on' => AsInstant::class, 'ended_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Docket, $this> */
    public function docket(): BelongsTo
    {
        return $this->belongsTo(Docket::class);
    }
}
