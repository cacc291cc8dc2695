<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Openings;
use App\Models\Account;
use App\Models\DocketLine;
use App\Outside\Registrar\OrderKind;

/** Tells the giving side's registrar to hand one name over, what must be first first; a registrar by slip is told nothing, a person acts. */
final readonly class TellHandover
{
    /**
     * @param  list<LegKind>  $legs  of this name
     * @param  Instant|null  $accepted  when the receiver said yes, where they were asked first
     */
    public function handle(Openings $openings, DocketLine $line, int $giverId, Account $receiver, array $legs, ?Instant $accepted = null): void
    {
        if (in_array(LegKind::LiftLock, $legs, true)) {
            $openings->order($line, $giverId, OrderKind::LockOff, endsLine: false);
        }
        $named = array_filter(['number' => $receiver->number, 'login' => $receiver->login, 'mailbox' => $receiver->mailbox, 'handle' => $receiver->handle], fn (?string $value): bool => $value !== null && $value !== '');
        $openings->order($line, $giverId, OrderKind::HandOver, $named + ($accepted === null ? [] : ['accepted' => $accepted->isoSecond()]));
    }
}
