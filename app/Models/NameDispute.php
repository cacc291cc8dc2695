<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Dispute;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * What is disputed about a name; open until it has ended.
 *
 * @property int $id
 * @property int $name_id
 * @property Dispute $kind
 * @property Instant $since
 * @property string|null $remarks
 * @property Instant|null $ended_on
 */
final class NameDispute extends Model
{
    protected $table = 'disputes';

    protected $guarded = ['id'];

    protected $casts = ['kind' => Dispute::class, 'since' => AsInstant::class, 'ended_on' => AsInstant::class];
}
