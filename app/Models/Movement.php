<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A name on its way; one open movement a name.
 *
 * @property int $id
 * @property int $name_id
 * @property int $docket_id
 * @property string $kind
 * @property Instant $opened_on
 * @property Instant|null $expected_by
 * @property Instant|null $closed_on
 * @property-read Name $name
 * @property-read Docket $docket
 */
final class Movement extends Model
{
    protected $guarded = ['id'];

    protected $attributes = ['closed_on' => null];

    protected $casts = ['opened_on' => AsInstant::class, 'expected_by' => AsInstant::class, 'closed_on' => AsInstant::class];

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }

    /** @return BelongsTo<Docket, $this> */
    public function docket(): BelongsTo
    {
        return $this->belongsTo(Docket::class);
    }

    /** @return HasMany<Leg, $this> */
    public function legs(): HasMany
    {
        return $this->hasMany(Leg::class)->orderBy('position');
    }
}
