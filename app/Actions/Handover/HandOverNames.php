<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\Leg as CoreLeg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Deed;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Openings;
use App\Actions\Gates\GateOrders;
use App\Actions\Names\PassHolding;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Client;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Extra;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\Slips;
use App\Queries\Names\CaseFile;

/** Names go from one account to another at the same registrar. */
final class HandOverNames implements Deed
{
    /** @var array<int, Account> */
    private array $receivers = [];

    /** @var array<int, Client> */
    private array $clients = [];

    public function __construct(private readonly Rulebook $book, private readonly Slips $slips, private readonly PassHolding $pass, private readonly GateOrders $orders, private readonly TellHandover $tell, private readonly AskReceiver $ask)
    {
    }

    public static function key(): string
    {
        return 'hand_over';
    }

    public function terms(array $said): ?array
    {
        $receiver = $said['receiver'] ?? null;
        $client = $said['client'] ?? null;
        $by = $said['by'] ?? null;

        return is_numeric($receiver) && is_string($by) ? (new HandoverTermsChosen((int) $receiver, is_numeric($client) ? (int) $client : null, Instant::of($by)))->pack() : null;
    }

    public function said(array $terms): array
    {
        $chosen = HandoverTermsChosen::unpack($terms);

        return ['receiver' => $chosen->receiverId, 'client' => $chosen->clientId ?? 'keep', 'by' => $chosen->answerBy->date()];
    }

    public function judge(CaseFile $file, array $terms, Instant $now): Readiness
    {
        $chosen = HandoverTermsChosen::unpack($terms);

        return $file->handoverTo($this->receiver($chosen)->facts(), $chosen->answerBy, $this->book, $now)->judge();
    }

    public function perform(DocketLine $line, CaseFile $file, Readiness $readiness, array $terms, Instant $now, Openings $openings): LineState
    {
        $legs = $readiness->legs;
        $chosen = HandoverTermsChosen::unpack($terms);
        $receiver = $this->receiver($chosen);
        $acceptance = $file->handover->asksFirst($receiver->facts()) ? $this->ask->handle($line->docket, $receiver) : null;
        if ($acceptance?->accepted === false) {
            throw DeedError::receiverRefused();
        }
        $openings->movement($line, 'handover', $legs, $now, $legs === [] ? $chosen->answerBy : Instant::latest(...array_map(fn (CoreLeg $leg): Instant => $leg->by, $legs)), $acceptance?->answered_on === null ? [] : [LegKind::Accept->value => $acceptance->answered_on]);
        // Asked by letter, it goes on once the receiver has said yes.
        if ($acceptance === null || $acceptance->accepted === true) {
            $this->tell->handle($openings, $line, $file->account->id, $receiver, array_map(fn (CoreLeg $leg): LegKind => $leg->kind, $legs), $acceptance?->answered_on);
        }

        return LineState::Begun;
    }

    public function complete(DocketLine $line, CaseFile $file, array $terms, Instant $on): void
    {
        $chosen = HandoverTermsChosen::unpack($terms);
        $this->pass->handle($file, $chosen->receiverId, $chosen->clientId ?? $file->clientId, $on, $line->docket_id);
        foreach ($file->handover->extras as $kind => $fate) {
            if ($fate !== ExtraFate::ComesAlong) {
                Extra::query()->where('registration_id', $file->registrationId)->where('kind', $kind)->whereNull('ended_on')->update(['ended_on' => $on->isoSecond()]);
            }
        }
        $this->close($line, $on, true);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->orders->takeBack($line);
        $this->close($line, $now, false);
    }

    public function slip(Docket $docket): Slip
    {
        return $this->slips->of($docket, HandoverTermsChosen::unpack($docket->terms));
    }

    public function headline(array $terms, int $names): string
    {
        $receiver = $this->receiver(HandoverTermsChosen::unpack($terms));

        return trans_choice('deeds.hand_over.headline', $names, ['names' => number_format($names), 'whose' => $receiver->owner->name ?? 'ourselves']);
    }

    public function inOneLine(Docket $docket): string
    {
        $chosen = HandoverTermsChosen::unpack($docket->terms);
        $receiver = $this->receiver($chosen);
        $said = __('deeds.hand_over.one_line', [
            'registrar' => $receiver->registrar->name, 'account' => $receiver->number, 'by' => $chosen->answerBy->iso(),
            'client' => $chosen->clientId === null ? 'the same clients' : $this->client($chosen->clientId)->name,
        ]);

        $acceptance = Acceptance::query()->where('accepted', true)->find($docket->id);
        $accepted = $acceptance?->answered_on === null ? '' : __('deeds.hand_over.accepted_by', ['mailbox' => $acceptance->mailbox, 'on' => $acceptance->answered_on->isoSecond()]);

        return (is_string($said) ? $said : self::key()).(is_string($accepted) ? $accepted : '');
    }

    public function beforeAndAfter(CaseFile $file, array $terms): array
    {
        $chosen = HandoverTermsChosen::unpack($terms);
        $receiver = $this->receiver($chosen);
        $client = $chosen->clientId === null ? $file->clientName : $this->client($chosen->clientId)->name;

        return [
            'before' => ['account' => $file->account->registrarName.' '.$file->account->number, 'client' => $file->clientName],
            'after' => ['account' => $receiver->registrar->name.' '.$receiver->number, 'client' => $client],
        ];
    }

    private function close(DocketLine $line, Instant $on, bool $done): void
    {
        $movement = Movement::query()->where('name_id', $line->name_id)->where('docket_id', $line->docket_id)->whereNull('closed_on')->first();
        $movement?->update(['closed_on' => $on]);
        if ($movement !== null && $done) {
            Leg::query()->where('movement_id', $movement->id)->whereNull('done_on')->update(['done_on' => $on->isoSecond()]);
        }
    }

    private function client(int $id): Client
    {
        return $this->clients[$id] ??= Client::query()->findOrFail($id);
    }

    private function receiver(HandoverTermsChosen $chosen): Account
    {
        return $this->receivers[$chosen->receiverId] ??= $chosen->receiver();
    }
}
