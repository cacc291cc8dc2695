<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What a deed does to one name, and how far it is.
 *
 * @property int $id
 * @property int $docket_id
 * @property int $name_id
 * @property int|null $giving_account_id
 * @property int $position
 * @property int $lot
 * @property LineState $state
 * @property list<array<string, mixed>> $findings
 * @property string|null $reason
 * @property Instant|null $done_on
 * @property Instant|null $seen_on when the public record was first seen to show it
 * @property int|null $done_by
 * @property array<string, string>|null $before
 * @property array<string, string>|null $after
 * @property string|null $costs with tax
 * @property string|null $costs_currency
 * @property int|null $paying_account_id
 * @property array<string, mixed>|null $was what the name was before a deed in our own books, for undoing it
 * @property-read bool|null $has_open_word whether a side must still say yes, where that was asked for
 * @property-read Name $name
 * @property-read Order|null $order
 * @property-read Docket $docket
 * @property-read Account|null $givingAccount
 */
final class DocketLine extends Model
{
    /** Somebody's yes that is still waited for. */
    private const OPEN_WORD = 'SELECT 1 FROM movements m JOIN legs g ON g.movement_id = m.id
        WHERE m.docket_id = docket_lines.docket_id AND m.name_id = docket_lines.name_id AND m.closed_on IS NULL
        AND g.confirmation_id IS NOT NULL AND g.done_on IS NULL
        UNION ALL SELECT 1 FROM acceptances a WHERE a.docket_id = docket_lines.docket_id AND a.accepted IS NOT TRUE';

    protected $guarded = ['id'];

    protected $attributes = [
        'findings' => '[]',
        'reason' => null,
        'done_on' => null,
        'done_is_day' => true,
        'done_by' => null,
        'seen_on' => null,
        'before' => null,
        'after' => null,
        'was' => null,
        'costs' => null,
        'costs_currency' => null,
        'paying_account_id' => null,
        'lot' => 0,
    ];

    protected $casts = [
        'state' => LineState::class,
        'findings' => 'array',
        'before' => 'array',
        'after' => 'array',
        'was' => 'array',
        'done_on' => AsInstant::class.':done_is_day',
        'done_is_day' => 'boolean',
        'seen_on' => AsInstant::class,
        'has_open_word' => 'boolean',
    ];

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }

    /** @return BelongsTo<Docket, $this> */
    public function docket(): BelongsTo
    {
        return $this->belongsTo(Docket::class);
    }

    /** @return BelongsTo<Account, $this> */
    public function givingAccount(): BelongsTo
    {
        return $this->belongsTo(Account::class, 'giving_account_id');
    }

    /**
     * Those that wait for nobody's word.
     *
     * @param  Builder<self>  $lines
     */
    public function scopeWithoutOpenWord(Builder $lines): void
    {
        $lines->whereRaw('NOT EXISTS ('.self::OPEN_WORD.')');
    }

    /**
     * `has_open_word`: whether a side, or the receiver, must still say yes.
     *
     * @param  Builder<self>  $lines
     */
    public function scopeWithOpenWord(Builder $lines): void
    {
        $lines->selectRaw('docket_lines.*')->selectRaw('EXISTS ('.self::OPEN_WORD.') AS has_open_word');
    }

    /**
     * What its registrar was told for it; none: a person acts.
     *
     * @return HasOne<Order, $this>
     */
    public function order(): HasOne
    {
        return $this->hasOne(Order::class)->ofMany(['id' => 'max'], fn (Builder $told): Builder => $told->whereRaw(Order::IS_NEXT));
    }
}
