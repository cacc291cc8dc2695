<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Money\Money;
use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a registrar asks for an action at a suffix, before tax, over a span.
 *
 * @property int $id
 * @property int $registrar_id
 * @property string $suffix
 * @property string $action
 * @property string $amount
 * @property string $currency
 * @property string $tax_percent
 * @property Span $span
 */
final class Price extends Model
{
    public const ACTIONS = ['add', 'renew', 'transfer', 'restore', 'late', 'handover', 'privacy'];

    protected $guarded = ['id'];

    protected $casts = ['span' => AsSpan::class];

    /** What is paid in the end. */
    public function gross(): Money
    {
        return Money::of($this->amount, $this->currency)->withTax($this->tax_percent);
    }

    public function net(): Money
    {
        return Money::of($this->amount, $this->currency);
    }

    /** @return BelongsTo<Registrar, $this> */
    public function registrar(): BelongsTo
    {
        return $this->belongsTo(Registrar::class);
    }
}
