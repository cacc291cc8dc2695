<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Record\Certainty;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where the outside and the Roll disagree about a name.
 *
 * @property int $id
 * @property int $name_id
 * @property RecordFinding $finding
 * @property string $detail
 * @property DriftField $field
 * @property bool $alarming
 * @property int $cost
 * @property array<string, mixed> $said the finding, as `Finding::jsonSerialize()` makes it
 * @property Certainty $certainty
 * @property DriftState $state
 * @property string|null $because
 * @property Instant $first_seen
 * @property Instant $last_seen
 * @property Instant|null $since since when the name is deleted, or gone, where it says so
 * @property Instant|null $settled_at
 * @property int|null $docket_id
 * @property-read Name $name
 */
final class Drift extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = [
        'finding' => RecordFinding::class,
        'field' => DriftField::class,
        'alarming' => 'boolean',
        'said' => 'array',
        'certainty' => Certainty::class,
        'state' => DriftState::class,
        'first_seen' => AsInstant::class,
        'last_seen' => AsInstant::class,
        'since' => AsInstant::class,
        'settled_at' => AsInstant::class,
    ];

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->where('state', DriftState::Open);
    }
}
