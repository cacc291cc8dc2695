<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Balance\ChargeOrder;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\Steps;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Movement\ReceiverBy;
use Acre\Core\Record\Record;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A registrar and its terms. Days are whole; null is not known.
 *
 * @property int $id
 * @property string $name
 * @property string $link `slip`, `wire` or `bridge`
 * @property string|null $gate `host:port` that takes commands by wire
 * @property string|null $gate_key SHA-256 of its public key, base64, where the registrar says one
 * @property int|null $gate_a_minute how many commands a minute it takes there
 * @property string|null $page where its customers sign in, `https://…`
 * @property string|null $telephone
 * @property ReceiverBy $receiver_by
 * @property Confirms $confirms
 * @property string $accepts_by where a receiver says yes: `page`, the registrar's, or `letter`, ours
 * @property bool $names_giver
 * @property bool $lock_first
 * @property bool $unlock_account_first
 * @property int $accept_days
 * @property int $lot_size
 * @property int $handover_hold_days
 * @property int $charge_lead_days
 * @property int|null $dark_after_days
 * @property int|null $plain_after_days
 * @property int|null $late_until_days
 * @property ChargeOrder $charge_order in which it charges what falls on one day
 * @property list<int> $charge_retries days after the first attempt on which it tries again
 * @property array<string, string> $extras what becomes of each extra in a handover
 * @property list<string> $behind the accredited registrars and tags that stand behind it in public records
 * @property list<array{name: string, address: string}> $agreements what is accepted for a registrant before a name comes to it
 * @property bool $hold_declinable whether the hold after a change of registrant can be declined beforehand
 * @property bool|null $takes_keys whether it passes on a DS; null: not known
 * @property bool $own_servers_only whether it takes no name servers but its own
 * @property bool $transfers_by_letter whether it asks the holder by letter before a name comes to it
 * @property string $verifies_by who asks registrants to verify their mailbox: `registrar` or `house`
 * @property string|null $verification_sender
 * @property list<list<string>>|null $disclosure_steps the steps of disclosure that it sells, each the fields that it shows; null: field by
 *     field
 * @property string|null $remarks
 * @property int $version
 */
final class Registrar extends Model
{
    protected $guarded = ['id', 'version'];

    protected $attributes = [
        'link' => 'slip',
        'gate' => null,
        'gate_key' => null,
        'gate_a_minute' => null,
        'page' => null,
        'telephone' => null,
        'receiver_by' => 'number_login',
        'confirms' => 'receiver',
        'accepts_by' => 'page',
        'names_giver' => false,
        'lock_first' => false,
        'unlock_account_first' => false,
        'accept_days' => 14,
        'lot_size' => 1000,
        'handover_hold_days' => 0,
        'charge_lead_days' => 0,
        'dark_after_days' => null,
        'plain_after_days' => null,
        'late_until_days' => null,
        'charge_order' => 'ends',
        'charge_retries' => '[]',
        'extras' => '{}',
        'behind' => '[]',
        'agreements' => '[]',
        'disclosure_steps' => null,
        'verifies_by' => 'registrar',
        'hold_declinable' => false,
        'takes_keys' => null,
        'own_servers_only' => false,
        'transfers_by_letter' => false,
        'verification_sender' => null,
        'remarks' => null,
        'version' => 1,
    ];

    protected $casts = [
        'receiver_by' => ReceiverBy::class,
        'confirms' => Confirms::class,
        'names_giver' => 'boolean',
        'lock_first' => 'boolean',
        'unlock_account_first' => 'boolean',
        'hold_declinable' => 'boolean',
        'takes_keys' => 'boolean',
        'own_servers_only' => 'boolean',
        'transfers_by_letter' => 'boolean',
        'charge_order' => ChargeOrder::class,
        'charge_retries' => 'array',
        'extras' => 'array',
        'behind' => 'array',
        'agreements' => 'array',
        'disclosure_steps' => 'array',
    ];

    /** Whether a public record names it, or who stands behind it. */
    public function isIn(Record $record): bool
    {
        $said = array_filter([$record->registrar, $record->tag, $record->registrarId, $record->reseller], is_string(...));

        return array_uintersect($said, [$this->name, ...$this->behind], strcasecmp(...)) !== [];
    }

    /** What it can be told of disclosure. */
    public function steps(): Steps
    {
        return $this->disclosure_steps === null ? Steps::fieldByField() : Steps::of(array_map(Pattern::read(...), $this->disclosure_steps));
    }

    public function handoverTerms(): HandoverTerms
    {
        return new HandoverTerms(
            $this->receiver_by,
            $this->confirms,
            $this->names_giver,
            $this->lock_first,
            $this->unlock_account_first,
            $this->handover_hold_days,
            array_map(ExtraFate::from(...), $this->extras),
            $this->accepts_by === 'letter',
        );
    }

    /** @return HasMany<Account, $this> */
    public function accounts(): HasMany
    {
        return $this->hasMany(Account::class);
    }

    /** @return HasMany<Price, $this> */
    public function prices(): HasMany
    {
        return $this->hasMany(Price::class);
    }
}
