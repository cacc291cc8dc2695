<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Custody\CustodyPart;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The slip for one account of a handing.
 *
 * @property int $handing_id
 * @property int $account_id
 * @property list<string> $parts
 * @property HandingState $state
 * @property Instant|null $ended_on
 * @property int|null $ended_by
 * @property string|null $words
 * @property-read Account $account
 * @property-read User|null $ender
 */
final class HandingLine extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    /** Within its handing, by which it is always asked for. */
    protected $primaryKey = 'account_id';

    protected $guarded = [];

    protected $casts = ['parts' => 'array', 'state' => HandingState::class, 'ended_on' => AsInstant::class];

    /** @return list<CustodyPart> */
    public function had(): array
    {
        return array_map(CustodyPart::from(...), $this->parts);
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<User, $this> */
    public function ender(): BelongsTo
    {
        return $this->belongsTo(User::class, 'ended_by');
    }
}
