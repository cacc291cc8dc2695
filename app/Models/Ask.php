<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder;

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

    /**
     * Those that are still theirs to answer: not what was renewed since the letter was written, or is no longer held for this client.
     *
     * @return HasMany<AskLine, $this>
     */
    public function stillAsked(): HasMany
    {
        return $this->lines()->whereExists(
            fn (Builder $held): Builder => $held
                ->from('holdings AS h')
                ->join('registrations AS r', 'r.id', '=', 'h.registration_id')
                ->whereColumn('h.name_id', 'ask_lines.name_id')
                ->where('h.client_id', $this->client_id)
                ->whereRaw('upper_inf(h.span) AND upper_inf(r.span)')
                // An end that was only put right lies near the one of the letter; a renewal adds a year.
                ->whereRaw("r.ends_on < ask_lines.ends_on + interval '60 days'"),
        );
    }
}
