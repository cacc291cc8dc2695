<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Many names on their way to another registrar, each on its day.
 *
 * @property int $id
 * @property string $token
 * @property int $account_id
 * @property array<string, mixed> $terms as `App\Actions\Plans\PlanTerms` packs them
 * @property PlanState $state
 * @property string|null $stopped_because
 * @property int $made_by
 * @property Instant $made_on
 * @property Instant|null $ended_on
 * @property-read Account $account
 * @property-read User $maker
 */
final class Migration extends Model
{
    protected $table = 'plans';

    protected $guarded = ['id'];

    protected $attributes = ['stopped_because' => null, 'ended_on' => null];

    protected $casts = ['terms' => 'array', 'state' => PlanState::class, 'made_on' => AsInstant::class, 'ended_on' => AsInstant::class];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
