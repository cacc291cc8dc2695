<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One piece of work that was set aside because it failed, and is tried again later.
 *
 * @property int $id
 * @property SetbackKind $kind
 * @property int $subject_id
 * @property int|null $account_id
 * @property int|null $docket_id
 * @property int|null $name_id
 * @property string $error
 * @property int $failures
 * @property CarbonImmutable $first_at machine time, as the two below
 * @property CarbonImmutable $last_at
 * @property CarbonImmutable $retry_at
 * @property-read Account|null $account
 * @property-read Name|null $name
 */
final class Setback extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = [
        'kind' => SetbackKind::class,
        'first_at' => 'immutable_datetime',
        'last_at' => 'immutable_datetime',
        'retry_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }
}
