<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Movement;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A panel at a registrar: whose it is, and whether we can sign in to it.
 *
 * @property int $id
 * @property int $registrar_id
 * @property string $number
 * @property string|null $login
 * @property string|null $mailbox
 * @property string|null $handle
 * @property int|null $owner_id null: the house's own
 * @property string $access `ours` or `theirs`
 * @property Instant|null $proven_at since when its identifiers are known to belong together
 * @property string|null $letters_to where the registrar's letters go, if not to the mailbox
 * @property string|null $way_back how one gets in again once nobody can
 * @property bool $hosts_too whether the web host is behind the same login
 * @property PaidFrom $paid_from what its names are paid from
 * @property string|null $card_ends_on the day from which its card is no longer good
 * @property string|null $entries_after the registrar's id of its last entry that was entered here
 * @property string|null $entries_asked_on when they were last asked for
 * @property string|null $remarks
 * @property int|null $gate_secret_id the password for its registrar's gate
 * @property string|null $gate_for the gate that it was given for
 * @property int $version
 * @property-read Registrar $registrar
 * @property-read Client|null $owner
 */
final class Account extends Model
{
    protected $fillable = [
        'registrar_id',
        'number',
        'login',
        'mailbox',
        'handle',
        'owner_id',
        'access',
        'proven_at',
        'letters_to',
        'way_back',
        'hosts_too',
        'paid_from',
        'card_ends_on',
        'entries_after',
        'entries_asked_on',
        'remarks',
        'gate_secret_id',
        'gate_for',
    ];

    protected $attributes = [
        'login' => null,
        'mailbox' => null,
        'handle' => null,
        'owner_id' => null,
        'access' => 'ours',
        'proven_at' => null,
        'letters_to' => null,
        'way_back' => null,
        'hosts_too' => false,
        'paid_from' => 'balance',
        'card_ends_on' => null,
        'remarks' => null,
        'gate_secret_id' => null,
        'gate_for' => null,
        'version' => 1,
    ];

    protected $casts = ['proven_at' => AsInstant::class, 'hosts_too' => 'boolean', 'paid_from' => PaidFrom::class];

    /** Needs the registrar loaded. */
    public function facts(): Movement\Account
    {
        return new Movement\Account(
            $this->id,
            $this->registrar_id,
            $this->registrar->name,
            $this->number,
            $this->login,
            $this->mailbox,
            $this->handle,
            $this->access === 'ours',
            $this->proven_at,
        );
    }

    /** @return BelongsTo<Registrar, $this> */
    public function registrar(): BelongsTo
    {
        return $this->belongsTo(Registrar::class);
    }

    /** @return BelongsTo<Client, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(Client::class, 'owner_id');
    }
}
