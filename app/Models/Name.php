<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One row an ASCII form, for ever.
 *
 * @property int $id
 * @property string $ascii
 * @property string $unicode
 * @property string $suffix
 * @property-read Registration|null $registration
 * @property-read Registrant|null $registrant
 * @property-read RenewSetting|null $renewSetting
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Word> $words
 * @property-read \Illuminate\Database\Eloquent\Collection<int, NameDispute> $disputes
 */
final class Name extends Model
{
    protected $fillable = ['ascii', 'unicode', 'suffix'];

    public function getRouteKeyName(): string
    {
        return 'ascii';
    }

    /** An address may carry the name in either form. */
    public function resolveRouteBinding($value, $field = null): ?self
    {
        try {
            $ascii = DomainName::of(is_string($value) ? $value : '')->ascii;
        } catch (NameError) {
            return null;
        }

        return self::query()->where('ascii', $ascii)->first();
    }

    /** @return HasOne<Registration, $this> */
    public function registration(): HasOne
    {
        return $this->hasOne(Registration::class)->whereRaw('upper_inf(span)');
    }

    /** @return HasMany<Holding, $this> */
    public function holdings(): HasMany
    {
        return $this->hasMany(Holding::class)->orderByRaw('lower(span) NULLS FIRST');
    }

    /** @return BelongsToMany<Word, $this> */
    public function words(): BelongsToMany
    {
        return $this->belongsToMany(Word::class, 'name_words')->orderByRaw('lower(label)');
    }

    /** @return HasMany<NameDispute, $this> those that are open */
    public function disputes(): HasMany
    {
        return $this->hasMany(NameDispute::class)->whereNull('ended_on')->orderBy('since');
    }

    /** @return HasMany<NameSite, $this> */
    public function sites(): HasMany
    {
        return $this->hasMany(NameSite::class);
    }

    /** @return HasOne<Registrant, $this> */
    public function registrant(): HasOne
    {
        return $this->hasOne(Registrant::class);
    }

    /** @return HasOne<RenewSetting, $this> */
    public function renewSetting(): HasOne
    {
        return $this->hasOne(RenewSetting::class);
    }
}
