<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Hosting\Redirect;
use Acre\Core\Hosting\Site;
use Acre\Core\Hosting\WebAddress;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;

/**
 * A host of a name: what visitors should find there, and what was last found.
 *
 * @property int $id
 * @property int $name_id
 * @property string $label what stands before the name; empty: nothing
 * @property int|null $place_id
 * @property string $folder
 * @property string|null $target
 * @property bool|null $is_permanent
 * @property bool|null $keeps_path
 * @property int|null $docket_line_id the line that is having it changed, or has
 * @property array<string, mixed>|null $before what was expected before that line; null: no line is at work on it
 * @property int $version
 * @property CarbonImmutable|null $asked_at
 * @property CarbonImmutable|null $agreed_at
 * @property list<string> $addresses
 * @property string|null $body what was last found, as `Outside\Web\PackedSite` keeps it
 * @property Name $name
 * @property NamedPlace|null $place
 * @property Docket|null $docket
 */
final class NameSite extends Model
{
    /** What may stand before a name, as the database takes it. */
    public const LABEL = '/\A(?:[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?(?:\.[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?)*)?\z/';

    protected $table = 'sites';

    protected $fillable = ['name_id', 'label', 'place_id', 'folder', 'target', 'is_permanent', 'keeps_path'];

    protected $attributes = ['label' => '', 'folder' => '', 'addresses' => '[]', 'version' => 1];

    protected $casts = [
        'is_permanent' => 'boolean',
        'keeps_path' => 'boolean',
        'addresses' => 'array',
        'before' => 'array',
        'asked_at' => 'immutable_datetime',
        'agreed_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }

    /** @return BelongsTo<NamedPlace, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(NamedPlace::class);
    }

    /** @return HasOneThrough<Docket, DocketLine, $this> that is having it changed, or has */
    public function docket(): HasOneThrough
    {
        return $this->hasOneThrough(Docket::class, DocketLine::class, 'id', 'id', 'docket_line_id', 'docket_id');
    }

    public function isChanging(): bool
    {
        return $this->before !== null;
    }

    public function value(): Site
    {
        return new Site($this->name->ascii, $this->label, $this->place?->value(), $this->redirect());
    }

    public function redirect(): ?Redirect
    {
        return $this->target === null
            ? null
            : new Redirect(WebAddress::of($this->target), $this->is_permanent === true, $this->keeps_path === true);
    }
}
