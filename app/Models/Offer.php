<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Money\Money;
use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;

/**
 * What a registrar asks for a while, or to whoever has a code, instead of its list price.
 *
 * @property int $id
 * @property int $registrar_id
 * @property string|null $suffix null: every one
 * @property string $action
 * @property string|null $percent that is taken off; null: it has a price of its own
 * @property string|null $amount before tax
 * @property string|null $currency
 * @property bool $first_only whether it holds for the first year alone
 * @property string|null $code
 * @property Span $span
 * @property string|null $withdrawn_at
 */
final class Offer extends Model
{
    public const ACTIONS = ['add', 'renew', 'transfer'];

    protected $guarded = ['id'];

    protected $casts = ['span' => AsSpan::class, 'first_only' => 'boolean'];

    public function price(): ?Money
    {
        return $this->amount === null || $this->currency === null ? null : Money::of($this->amount, $this->currency);
    }
}
