<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * The record of one deed done to many names.
 *
 * @property int $id
 * @property string $token the one-time id of the form that made it
 * @property string $deed
 * @property DocketState $state
 * @property array<string, mixed> $terms
 * @property string $digest of what was shown when it was prepared
 * @property int $prepared_by
 * @property Instant $prepared_on
 * @property int|null $settled_by
 * @property Instant|null $settled_on
 * @property Instant|null $closed_on
 * @property int $version
 * @property-read User $preparer
 * @property-read User|null $settler
 * @property-read Proof|null $proof
 */
final class Docket extends Model
{
    protected $guarded = ['id'];

    protected $attributes = ['settled_by' => null, 'settled_on' => null, 'closed_on' => null, 'version' => 1];

    protected $casts = [
        'state' => DocketState::class, 'terms' => 'array',
        'prepared_on' => AsInstant::class, 'settled_on' => AsInstant::class, 'closed_on' => AsInstant::class,
    ];

    /**
     * Whose word on another registrant it asks for.
     *
     * @return HasMany<Confirmation, $this>
     */
    public function confirmations(): HasMany
    {
        return $this->hasMany(Confirmation::class);
    }

    /** @return HasMany<DocketLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(DocketLine::class)->orderBy('position');
    }

    /** @return BelongsTo<User, $this> */
    public function preparer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'prepared_by');
    }

    /** @return BelongsTo<User, $this> */
    public function settler(): BelongsTo
    {
        return $this->belongsTo(User::class, 'settled_by');
    }

    /** @return HasOne<Proof, $this> */
    public function proof(): HasOne
    {
        return $this->hasOne(Proof::class);
    }
}
