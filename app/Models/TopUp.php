<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Money that is to be paid in to an account.
 *
 * @property int $id
 * @property int $account_id
 * @property string $planned_for a day
 * @property string $amount
 * @property string $currency
 * @property int $planned_by
 * @property Instant $planned_on
 * @property string $state `planned`, `paid` or `withdrawn`
 * @property Instant|null $ended_on
 * @property-read User $planner
 */
final class TopUp extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = ['planned_on' => AsInstant::class, 'ended_on' => AsInstant::class];

    public function sum(): Money
    {
        return Money::of($this->amount, $this->currency);
    }

    /** @return BelongsTo<User, $this> */
    public function planner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'planned_by');
    }
}
