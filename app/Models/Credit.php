<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * Money at a registrar that pays only for some things, as somebody said it.
 *
 * @property int $id
 * @property int $account_id
 * @property string $amount that it held then
 * @property string $currency
 * @property string|null $action null: it pays for all of them
 * @property list<string> $suffixes A-labels; empty: every one
 * @property string|null $lost_on a day; null: not known, or never
 * @property Instant $said_on
 * @property Instant|null $withdrawn_on
 */
final class Credit extends Model
{
    public const ACTIONS = ['add', 'renew', 'transfer', 'restore'];

    public $timestamps = false;

    protected $guarded = ['id'];

    protected $casts = ['suffixes' => 'array', 'said_on' => AsInstant::class, 'withdrawn_on' => AsInstant::class];

    public function sum(): Money
    {
        return Money::of($this->amount, $this->currency);
    }
}
