<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A letter that came from a registry, a registrar or a complainant.
 *
 * @property int $id
 * @property string $kind `dispute`, `notice`, `data_request` or `other`
 * @property string $sender
 * @property string $about
 * @property Instant $received_on
 * @property Instant|null $answer_by
 * @property Instant|null $answered_on
 * @property string|null $answer
 * @property string|null $file
 * @property string|null $path
 * @property-read Collection<int, Name> $names
 */
final class Received extends Model
{
    public const KINDS = ['dispute', 'notice', 'data_request', 'other'];

    protected $table = 'received';

    protected $fillable = ['kind', 'sender', 'about', 'received_on', 'answer_by', 'answered_on', 'answer', 'file', 'path', 'user_id'];

    protected $attributes = ['answer_by' => null, 'answered_on' => null, 'answer' => null, 'file' => null, 'path' => null];

    protected $casts = ['received_on' => AsInstant::class, 'answer_by' => AsInstant::class, 'answered_on' => AsInstant::class];

    /** @return BelongsToMany<Name, $this> */
    public function names(): BelongsToMany
    {
        return $this->belongsToMany(Name::class, 'received_names');
    }
}
