<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One name that a client is asked about, as they were told of it.
 *
 * @property int $ask_id
 * @property int $name_id
 * @property string $ends_on a day
 * @property string|null $price of one year, with tax
 * @property string|null $currency
 * @property string|null $answer `keep` or `lapse`; null: none yet
 * @property int|null $years for which it is kept
 * @property int|null $docket_id the docket that renews it
 * @property-read Name $name
 */
final class AskLine extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name_id';

    protected $guarded = [];

    public function ends(): Instant
    {
        return Instant::of($this->ends_on);
    }

    public function sum(): ?Money
    {
        return $this->price === null || $this->currency === null ? null : Money::of($this->price, $this->currency);
    }

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }
}
