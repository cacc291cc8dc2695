<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Hosting\Place;
use Acre\Core\Hosting\PlaceKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where pages of names are kept, by a name of the house's own.
 *
 * @property int $id
 * @property string $name
 * @property PlaceKind $kind
 * @property string $operator
 * @property string $plan what was bought there
 * @property int|null $server_set_id
 * @property list<string> $addresses
 * @property int $version
 * @property NamedSet|null $servers
 */
final class NamedPlace extends Model
{
    protected $table = 'places';

    protected $fillable = ['name', 'kind', 'operator', 'plan', 'server_set_id', 'addresses'];

    protected $attributes = ['kind' => 'pages', 'operator' => '', 'plan' => '', 'addresses' => '[]', 'version' => 1];

    protected $casts = ['kind' => PlaceKind::class, 'addresses' => 'array'];

    /** @return BelongsTo<NamedSet, $this> */
    public function servers(): BelongsTo
    {
        return $this->belongsTo(NamedSet::class, 'server_set_id');
    }

    public function value(): Place
    {
        return Place::of($this->name, $this->operator, $this->kind, $this->addresses, $this->servers?->value());
    }
}
