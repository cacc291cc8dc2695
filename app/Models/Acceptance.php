<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The receiver's word on a docket, where a letter asks for it.
 *
 * @property int $docket_id
 * @property int $account_id the receiving one
 * @property string $mailbox that was written to last
 * @property Instant $asked_on
 * @property Instant|null $answered_on null: not answered yet
 * @property bool|null $accepted
 * @property string|null $words theirs, when they refused
 * @property string|null $carried_at once what it lets begin has begun
 * @property-read Account $account
 */
final class Acceptance extends Model
{
    protected $primaryKey = 'docket_id';

    public $incrementing = false;

    protected $guarded = [];

    protected $attributes = ['answered_on' => null, 'accepted' => null, 'words' => null, 'carried_at' => null];

    protected $casts = ['asked_on' => AsInstant::class, 'answered_on' => AsInstant::class, 'accepted' => 'boolean'];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }
}
