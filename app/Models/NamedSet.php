<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Delegation\ServerSet;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Name servers that belong together, by a name of the house's own.
 *
 * @property int $id
 * @property string $name
 * @property SetKind $kind
 * @property int|null $registrar_id
 * @property string $operator
 * @property list<array{host: string, addresses: list<string>}> $servers
 * @property bool $gives_zones whether its servers give us whole zones (AXFR)
 * @property int $version
 * @property Registrar|null $registrar
 */
final class NamedSet extends Model
{
    protected $table = 'server_sets';

    protected $fillable = ['name', 'kind', 'registrar_id', 'operator', 'servers', 'gives_zones'];

    protected $attributes = ['kind' => 'host', 'operator' => '', 'servers' => '[]', 'gives_zones' => false, 'version' => 1];

    protected $casts = ['kind' => SetKind::class, 'servers' => 'array', 'gives_zones' => 'boolean'];

    /** @return BelongsTo<Registrar, $this> */
    public function registrar(): BelongsTo
    {
        return $this->belongsTo(Registrar::class);
    }

    public function value(): ServerSet
    {
        return ServersKept::read($this->servers);
    }

    /** Who runs them, in words. */
    public function runBy(): string
    {
        return $this->registrar->name ?? $this->operator;
    }
}
