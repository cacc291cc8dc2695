<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\PendingWrites;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\OrderKind;

/**
 * Tells the giving side's registrar to hand one name over, what must be first first; a registrar by slip is told nothing, a person acts.
 */
final readonly class TellHandover
{
    /**
     * @param  list<LegKind>  $legs  of this name
     * @param  Instant|null  $accepted  when the receiver said yes, where they were asked first
     * @param  array<string, string>|null  $registrant  what the registrar is told of another registrant, who must be there before the name
     *     is offered; null: it stays as it is
     */
    public function handle(
        PendingWrites $openings,
        DocketLine $line,
        int $giverId,
        Account $receiver,
        array $legs,
        ?Instant $accepted = null,
        ?array $registrant = null,
    ): void {
        if ($registrant !== null && in_array(LegKind::Registrant, $legs, true) && $this->isToBeWritten($line)) {
            // It goes on once the registrar has done that.
            $openings->order($line, $giverId, OrderKind::Registrant, $registrant, endsLine: false);

            return;
        }
        if (in_array(LegKind::LiftLock, $legs, true)) {
            $openings->order($line, $giverId, OrderKind::LockOff, endsLine: false);
        }
        $named = array_filter(
            ['number' => $receiver->number, 'login' => $receiver->login, 'mailbox' => $receiver->mailbox, 'handle' => $receiver->handle],
            fn (?string $value): bool => $value !== null && $value !== '',
        );
        $openings->order($line, $giverId, OrderKind::HandOver, $named + ($accepted === null ? [] : ['accepted' => $accepted->isoSecond()]));
    }

    private function isToBeWritten(DocketLine $line): bool
    {
        return Order::query()
            ->where('docket_line_id', $line->id)
            ->where('kind', OrderKind::Registrant)
            ->where('state', OrderState::Done)
            ->doesntExist();
    }
}
