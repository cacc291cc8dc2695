<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Money\Money;
use Acre\Core\Movement\Account as AccountFacts;
use Acre\Core\Movement\LegKind;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\DocketLine;
use App\Outside\Registrar\OrderKind;

/**
 * Tells both sides' registrars of one name's transfer, each what it takes as a command, what must be first first: the losing side lifts
 * the lock and gives the code, the gaining side asks, the losing side says yes.
 */
final readonly class TellTransfer
{
    /** Steps of the losing side without which the gaining side can't ask. */
    private const FIRST = [
        'lift_lock' => OrderKind::LockOff,
        'renew_off' => OrderKind::AutoRenewOff,
        'code' => OrderKind::AuthCode,
    ];

    public function __construct(private GateOrders $orders)
    {
    }

    /**
     * @param  list<LegKind>  $legs  of this name
     * @param  Money|null  $fee  that was agreed on, before tax
     */
    public function begin(
        PendingWrites $openings,
        DocketLine $line,
        AccountFacts $losing,
        Account $gaining,
        array $legs,
        ?Money $fee,
    ): void {
        $isToldHere = $losing->ours && $this->orders->takesCommands($losing->id);
        $before = $this->prepare($openings, $line, $losing, $legs);
        // What a person does first is waited for.
        if (in_array(LegKind::Order, $legs, true) && ($isToldHere || self::first($legs) === [])) {
            $this->ask($openings, $line, $losing, $gaining, $fee, $before);
        }
    }

    /**
     * The losing side lifts the lock and gives the code.
     *
     * @param  list<LegKind>  $legs  of this name
     * @return string|null the last of what it is told, for another to wait for; null: it is told nothing
     */
    public function prepare(PendingWrites $openings, DocketLine $line, AccountFacts $losing, array $legs): ?string
    {
        $before = null;
        if ($losing->ours && $this->orders->takesCommands($losing->id)) {
            foreach (self::first($legs) as $kind) {
                $before = $openings->order($line, $losing->id, $kind, endsLine: false, after: $before);
            }
        }

        return $before;
    }

    /**
     * @param  list<LegKind>  $legs
     * @return array<string, OrderKind>
     */
    private static function first(array $legs): array
    {
        return array_filter(self::FIRST, fn (string $leg): bool => in_array(LegKind::from($leg), $legs, true), ARRAY_FILTER_USE_KEY);
    }

    /** The gaining side asks for it. */
    public function ask(
        PendingWrites $openings,
        DocketLine $line,
        AccountFacts $losing,
        Account $gaining,
        ?Money $fee,
        ?string $after = null,
    ): void {
        $terms = $fee === null ? [] : ['fee' => $fee->decimal(), 'currency' => $fee->currency];
        $asked = $openings->order($line, $gaining->id, OrderKind::Transfer, $terms, after: $after);
        if ($asked !== null && $losing->ours) {
            $openings->order(
                $line,
                $losing->id,
                OrderKind::ApproveTransfer,
                endsLine: false,
                after: $asked,
                afterPending: true,
            );
        }
    }
}
