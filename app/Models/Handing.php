<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What somebody has of accounts, handed to another: a slip for each account, and a proof once all have ended.
 *
 * @property int $id
 * @property int $from_id
 * @property int $to_id
 * @property Instant $opened_on
 * @property int $opened_by
 * @property Instant|null $closed_on
 * @property-read Custodian $from
 * @property-read Custodian $to
 * @property-read User $opener
 * @property-read Collection<int, HandingLine> $lines
 * @property-read Proof|null $proof
 */
final class Handing extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = ['opened_on' => AsInstant::class, 'closed_on' => AsInstant::class];

    /** @return BelongsTo<Custodian, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Custodian::class, 'from_id');
    }

    /** @return BelongsTo<Custodian, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Custodian::class, 'to_id');
    }

    /** @return BelongsTo<User, $this> */
    public function opener(): BelongsTo
    {
        return $this->belongsTo(User::class, 'opened_by');
    }

    /** @return HasMany<HandingLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(HandingLine::class)->orderBy('account_id');
    }

    /** @return HasOne<Proof, $this> */
    public function proof(): HasOne
    {
        return $this->hasOne(Proof::class);
    }
}
