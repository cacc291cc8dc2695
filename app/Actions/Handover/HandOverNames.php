<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\Leg as CoreLeg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\EndMovement;
use App\Actions\Deeds\PassHolding;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\Ticked;
use App\Actions\Deeds\WaitsForWord;
use App\Actions\Gates\GateOrders;
use App\Actions\Registrants\AnotherRegistrant;
use App\Actions\Registrants\RegistrantInWords;
use App\Actions\Registrants\RegistrantOnSlip;
use App\Actions\Registrants\SidesAsked;
use App\Actions\Registrants\WhoIsMeant;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Client;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Extra;
use App\Models\Holding;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use LogicException;

/** Names go from one account to another at the same registrar, and on the way to another registrant where that is wanted. */
final class HandOverNames implements Ticked, WaitsForWord
{
    /** @var array<int, Account> */
    private array $receivers = [];

    /** @var array<int, Client> */
    private array $clients = [];

    public function __construct(
        private readonly JudgeHandover $judge,
        private readonly AnotherRegistrant $another,
        private readonly WhoIsMeant $who,
        private readonly RegistrantOnSlip $slip,
        private readonly RegistrantInWords $saying,
        private readonly Slips $slips,
        private readonly PassHolding $pass,
        private readonly GateOrders $orders,
        private readonly TellHandover $tell,
        private readonly AskReceiver $ask,
        private readonly LockAgain $lock,
    ) {
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

        if (! is_numeric($receiver) || ! is_string($by)) {
            return null;
        }
        $isMeant = isset($said['contact']) && $said['contact'] !== '';
        $registrant = $isMeant ? $this->who->chosen($said) : null;
        if ($isMeant && $registrant === null) {
            return null;
        }

        return (new HandoverTermsChosen(
            (int) $receiver,
            is_numeric($client) ? (int) $client : null,
            Instant::of($by),
            $registrant,
        ))->pack();
    }

    public function said(array $terms): array
    {
        $chosen = HandoverTermsChosen::unpack($terms);

        return [
            'receiver' => $chosen->receiverId ?? '',
            'client' => $chosen->clientId ?? 'keep',
            'by' => $chosen->answerBy->date(),
            ...array_diff_key($chosen->registrant?->said() ?? [], ['by' => true]),
        ];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $chosen = HandoverTermsChosen::unpack($terms);

        $receiver = $chosen->receiverId === null ? null : $this->receiver($chosen)->facts();

        return $this->judge->handle($file, $receiver, $chosen->answerBy, $chosen->registrant, $now);
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $legs = $readiness->legs();
        $chosen = HandoverTermsChosen::unpack($terms);
        $receiver = $this->receiver($chosen);
        $acceptance = $file->handover->asksFirst($receiver->facts()) ? $this->ask->handle($line->docket, $receiver) : null;
        if ($acceptance?->accepted === false) {
            throw DeedError::receiverRefused();
        }
        $sides =
            $chosen->registrant === null ? new SidesAsked([], []) : $this->another->ask($line, $file, $chosen->registrant, $legs, $now);
        $accepted = $acceptance?->answered_on === null ? [] : [LegKind::Accept->value => $acceptance->answered_on];
        $openings->movement(
            $line,
            'handover',
            $legs,
            $now,
            $legs === [] ? $chosen->answerBy : Instant::latest(...array_map(fn (CoreLeg $leg): Instant => $leg->by, $legs)),
            $accepted + $sides->done,
            $sides->words,
        );
        // Asked by letter, it goes on once whoever is asked has said yes.
        if (! $sides->wait() && ($acceptance === null || $acceptance->accepted === true)) {
            $this->tell->handle(
                $openings,
                $line,
                $file->account->id,
                $receiver,
                array_map(fn (CoreLeg $leg): LegKind => $leg->kind, $legs),
                $acceptance?->answered_on,
                $this->registrantTerms($chosen),
            );
        }

        return LineState::Begun;
    }

    public function goOn(DocketLine $line, HeldCase $file, array $terms, PendingWrites $openings): void
    {
        $chosen = HandoverTermsChosen::unpack($terms);
        $acceptance = Acceptance::query()->find($line->docket_id);
        if ($acceptance !== null && $acceptance->accepted !== true) {
            return;
        }
        $movement = Movement::query()
            ->with('legs')
            ->where('name_id', $line->name_id)
            ->where('docket_id', $line->docket_id)
            ->whereNull('closed_on')
            ->first();
        $legs = $movement === null ? [] : array_values($movement->legs->map(fn (Leg $leg): LegKind => $leg->kind)->all());
        $this->tell->handle(
            $openings,
            $line,
            $file->account->id,
            $this->receiver($chosen),
            $legs,
            $acceptance?->answered_on,
            $this->registrantTerms($chosen),
        );
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $chosen = HandoverTermsChosen::unpack($terms);
        if ($chosen->registrant !== null && ! $this->another->isSo($file, $chosen->registrant)) {
            $this->another->complete($line, $file, $chosen->registrant, $on);
        }
        $this->pass->handle($file, $this->receiver($chosen)->id, $chosen->clientId ?? $file->clientId, $on, $line->docket_id);
        $stayed = array_keys(array_filter($file->handover->extras, fn (ExtraFate $fate): bool => $fate !== ExtraFate::ComesAlong));
        $ended =
            $stayed === []
                ? []
                : Extra::query()
                    ->where('registration_id', $file->registrationId)
                    ->whereIn('kind', $stayed)
                    ->whereNull('ended_on')
                    ->toBase()
                    ->pluck('id')
                    ->all();
        if ($ended !== []) {
            Extra::query()
                ->whereKey($ended)
                ->update(['ended_on' => $on->isoSecond()]);
        }
        $line->was = ['account' => $file->account->id, 'client' => $file->clientId, 'extras' => $ended];
        EndMovement::of($line, $on, true);
        $this->lock->after($line, $this->receiver($chosen)->id, $on);
    }

    /** With another registrant it is two things at once, one of which was agreed to: that is no tick to take back. */
    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return isset($line->was['account']) &&
            HandoverTermsChosen::unpack($line->docket->terms)->registrant === null &&
            Holding::query()->where('name_id', $line->name_id)->whereRaw('upper_inf(span)')->where('docket_id', $line->docket_id)->exists();
    }

    /** The chain of title keeps both: that it was said to have gone, and that it had not. */
    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $was = $line->was ?? [];
        $id = fn (string $key): int => is_int($was[$key] ?? null)
            ? $was[$key]
            : throw new LogicException("A line that can be undone says its {$key}.");
        $this->pass->handle($file, $id('account'), $id('client'), $now, $by->docket_id);
        Extra::query()
            ->whereKey(array_filter(is_array($was['extras'] ?? null) ? $was['extras'] : [], is_int(...)))
            ->update(['ended_on' => null]);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->orders->takeBack($line);
        EndMovement::of($line, $now, false);
        $this->lock->after($line, $line->giving_account_id ?? 0, $now);
    }

    public function slip(Docket $docket): Slip
    {
        $chosen = HandoverTermsChosen::unpack($docket->terms);

        return $this->slips->of($docket, $chosen, $chosen->registrant === null ? [] : $this->slip->values($chosen->registrant));
    }

    public function headline(array $terms, int $names): string
    {
        $receiver = $this->receiver(HandoverTermsChosen::unpack($terms));

        return trans_choice('deeds.hand_over.headline', $names, [
            'names' => number_format($names),
            'whose' => $receiver->owner->name ?? 'ourselves',
        ]);
    }

    public function inOneLine(Docket $docket): string
    {
        $chosen = HandoverTermsChosen::unpack($docket->terms);
        $receiver = $this->receiver($chosen);
        $said = __('deeds.hand_over.one_line', [
            'registrar' => $receiver->registrar->name,
            'account' => $receiver->number,
            'by' => $chosen->answerBy->iso(),
            'client' => $chosen->clientId === null ? __('deeds.hand_over.same_clients') : $this->client($chosen->clientId)->name,
        ]);

        $acceptance = Acceptance::query()->where('accepted', true)->find($docket->id);
        $accepted =
            $acceptance?->answered_on === null
                ? ''
                : __('deeds.hand_over.accepted_by', ['mailbox' => $acceptance->mailbox, 'on' => $acceptance->answered_on->isoSecond()]);

        $registrant =
            $chosen->registrant === null
                ? ''
                : __('deeds.hand_over.with_registrant', ['who' => "contact {$chosen->registrant->contactId}"]);

        return (is_string($said) ? $said : self::key()).
            (is_string($accepted) ? $accepted : '').
            (is_string($registrant) ? $registrant : '').
            ($chosen->registrant === null ? '' : $this->saying->wordsGiven($docket, $chosen->registrant));
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $chosen = HandoverTermsChosen::unpack($terms);
        $receiver = $this->receiver($chosen);
        $client = $chosen->clientId === null ? $file->clientName : $this->client($chosen->clientId)->name;

        [$before, $after] = $chosen->registrant === null ? [null, null] : $this->saying->beforeAndAfter($file, $chosen->registrant);

        return [
            'before' => ['account' => $file->account->registrarName.' '.$file->account->number, 'client' => $file->clientName] +
                ($before === null ? [] : ['registrant' => $before]),
            'after' => ['account' => $receiver->registrar->name.' '.$receiver->number, 'client' => $client] +
                ($after === null ? [] : ['registrant' => $after]),
        ];
    }

    /** @return array<string, string>|null what the registrar is told of the other registrant; null: there is none */
    private function registrantTerms(HandoverTermsChosen $chosen): ?array
    {
        return $chosen->registrant === null ? null : $this->another->orderTerms($chosen->registrant);
    }

    private function client(int $id): Client
    {
        return $this->clients[$id] ??= Client::query()->findOrFail($id);
    }

    private function receiver(HandoverTermsChosen $chosen): Account
    {
        return $this->receivers[$chosen->receiverId ?? 0] ??= $chosen->receiver();
    }
}
