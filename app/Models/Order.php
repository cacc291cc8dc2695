<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Outside\Registrar\Holder;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Orders\AnswerTransfer;
use App\Outside\Registrar\Orders\CancelHandover;
use App\Outside\Registrar\Orders\CancelTransfer;
use App\Outside\Registrar\Orders\Disclose;
use App\Outside\Registrar\Orders\HandOver;
use App\Outside\Registrar\Orders\Order as Told;
use App\Outside\Registrar\Orders\Renew;
use App\Outside\Registrar\Orders\ReplaceKeys;
use App\Outside\Registrar\Orders\ReplaceRecords;
use App\Outside\Registrar\Orders\ReplaceRegistrant;
use App\Outside\Registrar\Orders\ReplaceServers;
use App\Outside\Registrar\Orders\RequestCode;
use App\Outside\Registrar\Orders\Restore;
use App\Outside\Registrar\Orders\SwitchAutoRenew;
use App\Outside\Registrar\Orders\SwitchLock;
use App\Outside\Registrar\Orders\TransferIn;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a registrar is to be told, recorded before it is.
 *
 * @property int $id
 * @property int $account_id
 * @property int $name_id
 * @property int|null $docket_line_id
 * @property int|null $after_id what it waits for: it is told once that is done
 * @property bool $after_pending whether it is enough that that is under way
 * @property OrderKind $kind
 * @property bool $ends_line whether its end is the line's
 * @property array<string, string> $terms
 * @property string $transaction
 * @property OrderState $state
 * @property int $attempts
 * @property string|null $sent_at machine time; null: never told
 * @property int|null $code
 * @property string|null $answer
 * @property array<string, string>|null $told what its registrar says beside yes: `ends`, `charged`, `balance`, `currency`
 * @property-read Account $account
 * @property-read Name $name
 * @property-read DocketLine|null $line
 */
final class Order extends Model
{
    public const UPDATED_AT = null;

    /** Of those that it waits for none is left. */
    public const IS_NEXT = "(orders.after_id IS NULL OR EXISTS (SELECT FROM orders b WHERE b.id = orders.after_id
        AND (b.state = 'done' OR (orders.after_pending AND b.state = 'pending'))))";

    protected $guarded = ['id'];

    protected $casts = [
        'kind' => OrderKind::class,
        'ends_line' => 'boolean',
        'after_pending' => 'boolean',
        'terms' => 'array',
        'told' => 'array',
        'state' => OrderState::class,
    ];

    public function told(): Told
    {
        [$id, $name] = [$this->transaction, $this->name->ascii];

        return match ($this->kind) {
            OrderKind::LockOn => new SwitchLock($id, $name, true),
            OrderKind::LockOff => new SwitchLock($id, $name, false),
            OrderKind::AutoRenewOn => new SwitchAutoRenew($id, $name, true),
            OrderKind::AutoRenewOff => new SwitchAutoRenew($id, $name, false),
            OrderKind::AuthCode => new RequestCode($id, $name),
            OrderKind::Servers => new ReplaceServers($id, $name, $this->listed('servers') ?? [], $this->glue()),
            OrderKind::Keys => new ReplaceKeys(
                $id,
                $name,
                array_values(array_filter(explode(',', $this->terms['ds'] ?? ''), fn (string $one): bool => $one !== '')),
            ),
            OrderKind::Records => new ReplaceRecords(
                $id,
                $name,
                array_values(array_filter(explode("\n", $this->terms['records'] ?? ''), fn (string $one): bool => $one !== '')),
            ),
            OrderKind::Disclose => new Disclose($id, $name, $this->listed('shown') ?? []),
            OrderKind::HandOver => new HandOver(
                $id,
                $name,
                array_diff_key($this->terms, ['accepted' => true]),
                $this->terms['accepted'] ?? null,
            ),
            OrderKind::CancelHandover => new CancelHandover($id, $name),
            OrderKind::Transfer => new TransferIn($id, $name, $this->code(), $this->fee()),
            OrderKind::Renew => new Renew(
                $id,
                $name,
                Instant::of($this->terms['ends'] ?? ''),
                (int) ($this->terms['years'] ?? '0'),
                $this->fee(),
            ),
            OrderKind::Restore => new Restore(
                $id,
                $name,
                ($this->terms['deleted'] ?? '') === '' ? null : Instant::of($this->terms['deleted']),
                $this->terms['reason'] ?? '',
                $this->fee(),
            ),
            OrderKind::CancelTransfer => new CancelTransfer($id, $name),
            OrderKind::ApproveTransfer => new AnswerTransfer($id, $name, true),
            OrderKind::RefuseTransfer => new AnswerTransfer($id, $name, false),
            OrderKind::Registrant => new ReplaceRegistrant($id, $name, $this->holder(), $this->listed('shown')),
        };
    }

    /** @return list<string>|null what stands there with blanks between; null: it is not said */
    private function listed(string $term): ?array
    {
        return isset($this->terms[$term])
            ? array_values(array_filter(explode(' ', $this->terms[$term]), fn (string $one): bool => $one !== ''))
            : null;
    }

    /** @return array<string, list<string>> addresses by host, as they stand there: `ns1.a.com=192.0.2.1,2001:db8::1 ns2.a.com=…` */
    private function glue(): array
    {
        $glue = [];
        foreach ($this->listed('glue') ?? [] as $one) {
            [$host, $addresses] = [...explode('=', $one, 2), ''];
            $glue[$host] = explode(',', $addresses);
        }

        return $glue;
    }

    /** @return array{string, string}|null what it may cost at most before tax, and in which currency */
    private function fee(): ?array
    {
        return isset($this->terms['fee'], $this->terms['currency']) ? [$this->terms['fee'], $this->terms['currency']] : null;
    }

    /** Never recorded with an order: it is opened where it is told. */
    private function code(): ?string
    {
        $kept = AuthCode::query()->find($this->name_id);

        return $kept === null ? null : Secret::query()->find($kept->secret_id)?->value;
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

    /** As they stood when the order was recorded: their data is in that version alone, and in no order. */
    private function holder(): Holder
    {
        $version = ContactVersion::query()
            ->with(['mailbox', 'contact'])
            ->findOrFail((int) ($this->terms['version'] ?? 0));

        return Holder::of($this->account->number, $version->id, $version->value($version->contact->kind), $this->terms['shown'] ?? null);
    }
}
