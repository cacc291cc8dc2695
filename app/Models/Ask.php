<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A client is asked which of their names to keep.
 *
 * @property int $id
 * @property int $client_id
 * @property string $mailbox
 * @property int $asked_by
 * @property Instant $asked_on
 * @property string $answer_by a day
 * @property string|null $reminded_on a day
 * @property AskState $state
 * @property Instant|null $ended_on
 * @property-read Client $client
 * @property-read User $asker
 */
final class Ask extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = ['state' => AskState::class, 'asked_on' => AsInstant::class, 'ended_on' => AsInstant::class];

    public function by(): Instant
    {
        return Instant::of($this->answer_by);
    }

    /** @return BelongsTo<Client, $this> */
    public function client(): BelongsTo
    {
        return $this->belongsTo(Client::class);
    }

    /** @return BelongsTo<User, $this> */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'asked_by');
    }

    /** @return HasMany<AskLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(AskLine::class)->orderBy('position');
    }
}
