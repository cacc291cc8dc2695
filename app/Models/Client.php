<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Language;
use App\Support\Row;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Whom the agency serves; the house itself is one of them.
 *
 * @property int $id
 * @property string $name
 * @property bool $is_house
 * @property string|null $mailbox
 * @property int|null $pattern_id of disclosure, that its names are to follow
 * @property string|null $remarks
 * @property Language $language in which it is written to
 * @property bool $end_letters whether they are written to around the end of names that don’t auto-renew
 * @property string $surcharge_percent of what is laid out for them
 * @property string|null $surcharge_each for each thing that is laid out
 * @property string|null $surcharge_currency
 * @property int|null $merged_into the one that it is another spelling of
 * @property int $version
 */
final class Client extends Model
{
    protected $fillable = [
        'name',
        'is_house',
        'mailbox',
        'pattern_id',
        'remarks',
        'surcharge_percent',
        'surcharge_each',
        'surcharge_currency',
        'end_letters',
        'language',
    ];

    protected $attributes = [
        'is_house' => false,
        'mailbox' => null,
        'language' => 'en',
        'pattern_id' => null,
        'remarks' => null,
        'surcharge_percent' => '0',
        'surcharge_each' => null,
        'surcharge_currency' => null,
        'end_letters' => false,
        'version' => 1,
    ];

    protected $casts = ['is_house' => 'boolean', 'end_letters' => 'boolean', 'language' => Language::class];

    /**
     * Those that are not part of another.
     *
     * @param  Builder<self>  $clients
     */
    public function scopeStanding(Builder $clients): void
    {
        $clients->whereNull('merged_into');
    }

    /** @return array<int, string> how each is called, by id, the house first: what a form offers */
    public static function names(): array
    {
        $names = [];
        foreach (self::query()->standing()->orderByDesc('is_house')->orderByRaw('lower(name)')->toBase()->get(['id', 'name']) as $row) {
            $client = Row::of($row);
            $names[$client->int('id')] = $client->text('name');
        }

        return $names;
    }

    /** @return HasMany<Account, $this> */
    public function accounts(): HasMany
    {
        return $this->hasMany(Account::class, 'owner_id');
    }
}
