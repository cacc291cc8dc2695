<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Models\Casts\AsInstant;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A name over the span in which it was registered, with the facts that are known of it.
 *
 * @property int $id
 * @property int $name_id
 * @property Span $span
 * @property Instant|null $created_on
 * @property Instant|null $ends_on
 * @property Instant|null $moved_on
 * @property list<string> $statuses
 * @property Instant|null $deleted_since since when they prove that it is deleted
 * @property list<string> $servers
 * @property list<string>|null $delegates DS that it is to have; null: nobody has said
 * @property Disclosure $disclosure
 * @property list<string>|null $shown the fields of the holder that its registrar was told to show; null: not known
 * @property int|null $pattern_id after which pattern
 * @property Lock $lock
 * @property Intent $intent
 * @property string|null $reference
 * @property string|null $own_renewal what renewing this one costs in the end, where it is no price of its suffix; decimal
 * @property string|null $own_currency
 * @property array<string, string> $raw
 * @property array<string, array<string, mixed>> $sources
 * @property int $version
 */
final class Registration extends Model
{
    protected $guarded = ['id', 'version'];

    protected $attributes = [
        'created_on' => null,
        'created_is_day' => true,
        'ends_on' => null,
        'ends_is_day' => true,
        'moved_on' => null,
        'moved_is_day' => true,
        'statuses' => '[]',
        'deleted_since' => null,
        'lock' => 'unknown',
        'intent' => 'when_told',
        'reference' => null,
        'own_renewal' => null,
        'own_currency' => null,
        'servers' => '[]',
        'disclosure' => 'unknown',
        'shown' => null,
        'pattern_id' => null,
        'raw' => '{}',
        'sources' => '{}',
        'version' => 1,
    ];

    protected $casts = [
        'span' => AsSpan::class,
        'created_on' => AsInstant::class.':created_is_day',
        'ends_on' => AsInstant::class.':ends_is_day',
        'moved_on' => AsInstant::class.':moved_is_day',
        'statuses' => 'array',
        'deleted_since' => AsInstant::class,
        'lock' => Lock::class,
        'intent' => Intent::class,
        'servers' => 'array',
        'delegates' => 'array',
        'disclosure' => Disclosure::class,
        'shown' => 'array',
        'raw' => 'array',
        'sources' => 'array',
        'created_is_day' => 'boolean',
        'ends_is_day' => 'boolean',
        'moved_is_day' => 'boolean',
    ];

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }

    /** @return HasMany<Extra, $this> */
    public function extras(): HasMany
    {
        return $this->hasMany(Extra::class);
    }
}
