<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Contact\HolderKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Somebody who stands behind names; what it says is in its versions.
 *
 * @property int $id
 * @property int|null $client_id who knows it as theirs
 * @property HolderKind $kind
 * @property int|null $merged_into
 * @property int $version the number of today's
 * @property-read ContactVersion $today
 * @property-read Client|null $client
 */
final class Contact extends Model
{
    protected $fillable = ['client_id', 'kind', 'merged_into', 'version'];

    protected $attributes = ['client_id' => null, 'kind' => 'unknown', 'merged_into' => null, 'version' => 1];

    protected $casts = ['kind' => HolderKind::class];

    /** @return HasOne<ContactVersion, $this> */
    public function today(): HasOne
    {
        return $this->hasOne(ContactVersion::class)->whereRaw('upper_inf(span)');
    }

    /** @return HasMany<ContactVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(ContactVersion::class);
    }

    /** @return BelongsTo<Client, $this> */
    public function client(): BelongsTo
    {
        return $this->belongsTo(Client::class);
    }
}
