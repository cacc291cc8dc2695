<?php

declare(strict_types=1);

namespace App\Models;

use App\Outside\Registrar\Holder;
use App\Outside\Registrar\Order as OrderTold;
use App\Outside\Registrar\OrderKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a registrar is to be told, written down before it is.
 *
 * @property int $id
 * @property int $account_id
 * @property int $name_id
 * @property int|null $docket_line_id
 * @property OrderKind $kind
 * @property bool $ends_line whether its end is the line's
 * @property array<string, string> $terms
 * @property string $transaction
 * @property OrderState $state
 * @property int $attempts
 * @property string|null $sent_at machine time; null: never told
 * @property int|null $code
 * @property string|null $answer
 * @property-read Account $account
 * @property-read Name $name
 * @property-read DocketLine|null $line
 */
final class Order extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    protected $casts = ['kind' => OrderKind::class, 'ends_line' => 'boolean', 'terms' => 'array', 'state' => OrderState::class];

    public function told(): OrderTold
    {
        return new OrderTold(
            $this->kind,
            $this->transaction,
            $this->name->ascii,
            array_diff_key($this->terms, ['accepted' => true, 'shown' => true, 'version' => true, 'servers' => true]),
            $this->terms['accepted'] ?? null,
            $this->terms['shown'] ?? null,
            $this->holder(),
            array_values(array_filter(explode(' ', $this->terms['servers'] ?? ''), fn (string $host): bool => $host !== '')),
        );
    }

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

    /** @return BelongsTo<DocketLine, $this> */
    public function line(): BelongsTo
    {
        return $this->belongsTo(DocketLine::class, 'docket_line_id');
    }

    /** As they stood when the order was written down: their data is in that version alone, and in no order. */
    private function holder(): ?Holder
    {
        $version = isset($this->terms['version'])
            ? ContactVersion::query()
                ->with(['mailbox', 'contact'])
                ->findOrFail((int) $this->terms['version'])
            : null;

        return $version === null
            ? null
            : Holder::of($this->account->number, $version->id, $version->value($version->contact->kind), $this->terms['shown'] ?? null);
    }
}
