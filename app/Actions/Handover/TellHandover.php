<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\PendingWrites;
use App\Models\Account;
use App\Models\DocketLine;
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
        $before = null;
        if ($registrant !== null && in_array(LegKind::Registrant, $legs, true)) {
            $before = $openings->order($line, $giverId, OrderKind::Registrant, $registrant, endsLine: false);
        }
        if (in_array(LegKind::LiftLock, $legs, true)) {
            $before = $openings->order($line, $giverId, OrderKind::LockOff, endsLine: false, after: $before);
        }
        $named = array_filter(
            ['number' => $receiver->number, 'login' => $receiver->login, 'mailbox' => $receiver->mailbox, 'handle' => $receiver->handle],
            fn (?string $value): bool => $value !== null && $value !== '',
        );
        $terms = $named + ($accepted === null ? [] : ['accepted' => $accepted->isoSecond()]);
        $openings->order($line, $giverId, OrderKind::HandOver, $terms, after: $before);
    }
}
