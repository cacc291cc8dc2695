<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A closed docket's canonical text and its digest; the runtime role can't change one.
 *
 * @property int $docket_id
 * @property int $position
 * @property string $text
 * @property string $sha256
 * @property string|null $previous_sha256
 * @property Instant $made_on
 */
final class Proof extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'docket_id';

    protected $guarded = [];

    protected $casts = ['made_on' => AsInstant::class];
}
