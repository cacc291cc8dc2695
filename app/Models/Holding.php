<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a name was in an account for a client over a span: one link of the chain of title.
 *
 * @property int $id
 * @property int $name_id
 * @property int $registration_id
 * @property int $account_id
 * @property int $client_id
 * @property Span $span
 * @property int|null $docket_id the deed by which it began
 * @property-read Account $account
 * @property-read Client $client
 */
final class Holding extends Model
{
    protected $guarded = ['id'];

    protected $attributes = ['docket_id' => null];

    protected $casts = ['span' => AsSpan::class];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Client, $this> */
    public function client(): BelongsTo
    {
        return $this->belongsTo(Client::class);
    }
}
