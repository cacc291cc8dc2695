<?php

declare(strict_types=1);

namespace App\Http\Dockets;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\AcceptsAgreements;
use App\Actions\Deeds\Deed;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\EndMany;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Deeds\Ticked;
use App\Actions\Deeds\Undoable;
use App\Actions\Handover\AskReceiver;
use App\Actions\Handover\HandOverNames;
use App\Actions\Hosting\RedirectNames;
use App\Actions\Names\GatherNames;
use App\Actions\Registrants\AskToConfirm;
use App\Actions\Registrar\ChangeRecords;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Transfer\HandOutCodes;
use App\Actions\Transfer\TransferAway;
use App\Actions\Transfer\TransferNames;
use App\Http\OldInput;
use App\Http\ProofText;
use App\Http\SignedInRequest;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Client;
use App\Models\Confirmation;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Ending;
use App\Models\Letter;
use App\Models\LineState;
use App\Models\Link;
use App\Models\Order;
use App\Models\OrderState;
use App\Queries\Deeds\JudgeAgain;
use App\Queries\Dockets\AgreementsAccepted;
use App\Queries\Dockets\DocketCosts;
use App\Queries\Dockets\DocketProgress;
use App\Queries\Dockets\Progress;
use App\Queries\Hosting\ReadSites;
use App\Queries\Movements\ReadMovements;
use App\Queries\Servers\ReadWatches;
use App\Queries\Setbacks\ReadSetbacks;
use App\Support\TradeClock;
use App\View\PeopleNamed;
use App\View\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** Dockets: what was done to many names, name by name; its slip; its proof. */
final readonly class DocketController
{
    public function __construct(
        private Deeds $deeds,
        private Progress $progress,
        private TradeClock $clock,
        private Words $words,
        private ReadSetbacks $setbacks,
        private JudgeAgain $again,
        private ReadWatches $watches,
        private ReadSites $sites,
        private ReadMovements $movements,
        private AgreementsAccepted $agreements,
        private DocketCosts $costs,
    ) {
    }

    public function index(Request $request): View
    {
        $open = $request->query('state') !== 'ended';
        $dockets = Docket::query()
            ->whereIn('state', $open ? [DocketState::Prepared, DocketState::Settled] : [DocketState::Closed, DocketState::CalledOff])
            ->with(['preparer', 'proof'])
            ->orderByDesc('id')
            ->cursorPaginate(50)
            ->withQueryString();

        return view('dockets.index', [
            'dockets' => $dockets,
            'open' => $open,
            'deeds' => $this->deeds,
            'words' => $this->words,
            'progress' => $this->progress->of(array_values(array_map(fn (Docket $docket): int => $docket->id, $dockets->items()))),
        ]);
    }

    public function show(Docket $docket): View
    {
        // Asked first: a page on which something still waits loads again, one on which nothing does must show the rest as it is by then.
        $toTell = $this->toTell($docket);
        $progress = $this->progress->of([$docket->id])[$docket->id];
        $docket->refresh();
        $ending = $this->isEnding($docket) ? true : null;

        $lines = $docket
            ->lines()
            ->withOpenWord()
            ->with(['name', 'givingAccount.registrar', 'order'])
            ->paginate(200)
            ->withQueryString();

        $nameIds = array_values(array_map(fn (DocketLine $line): int => $line->name_id, $lines->items()));
        $deed = $this->deeds->of($docket);
        $isTransfer = self::isTransfer($deed);
        $slip = $docket->state === DocketState::Settled ? $deed->slip($docket) : null;

        return view('dockets.show', [
            ...$this->told($docket),
            'progress' => $progress,
            'costs' => $this->costs->of($docket->id),
            'setbacks' => $this->setbacks->ofDocket($docket->id),
            'moving' => $ending !== null
                    ? $this->ending($progress)
                    : ($docket->state === DocketState::Settled && ($progress->isOver() || $progress->waiting > 0 || $toTell > 0)
                        ? $this->moving($progress, $progress->isOver(), $toTell)
                        : null),
            'failure' => Ending::query()->where('docket_id', $docket->id)->whereNotNull('ended_at')->latest('id')->first()?->failure,
            'agreements' => $deed instanceof AcceptsAgreements ? $this->agreements->of($docket->id) : [],
            'toAccept' => $deed instanceof AcceptsAgreements && $docket->state === DocketState::Prepared
                    ? $deed->agreements($docket->terms)
                    : [],
            'slip' => $slip,
            'tickable' => $isTransfer ? $slip?->tickable() ?? [] : null,
            'lines' => $lines,
            'watches' => $deed instanceof ChangeServers
                    ? $this->watches->ofLines(array_values(array_map(fn (DocketLine $line): int => $line->id, $lines->items())))
                    : [],
            'recordWatches' => $deed instanceof ChangeRecords
                    ? $this->watches->recordsOfLines(array_values(array_map(fn (DocketLine $line): int => $line->id, $lines->items())))
                    : [],
            'sitesOfLines' => $deed instanceof RedirectNames
                    ? $this->sites->ofLines(array_values(array_map(fn (DocketLine $line): int => $line->id, $lines->items())))
                    : [],
            'handout' => $deed instanceof TransferAway ? $this->movements->handout($docket->id) : null,
            'movements' => $isTransfer
                    ? $this->movements->ofDocket($docket->id, $nameIds)
                    : [],
            'wantingCodes' => $isTransfer && $docket->state === DocketState::Settled
                    ? $this->movements->wantingCodes($docket->id)
                    : [],
            'judged' => $docket->state === DocketState::Prepared
                    ? $this->again->handle($docket, $nameIds)
                    : [],
            'today' => $this->clock->today(),
            'people' => new PeopleNamed(),
            'acceptance' => Acceptance::query()->with('account')->find($docket->id),
            'confirmations' => $docket
                ->confirmations()
                ->with(['contact.today', 'letter'])
                ->orderByDesc('side')
                ->orderBy('id')
                ->limit(200)
                ->get(),
            'letter' => Letter::query()->where('docket_id', $docket->id)->latest('id')->first(),
            'undoable' => $deed instanceof Ticked
                    ? in_array($docket->state, [DocketState::Settled, DocketState::Closed], true)
                    : $docket->state === DocketState::Closed && $deed instanceof Undoable,
            'ticked' => $deed instanceof Ticked,
        ]);
    }

    /** What a page that waits asks every second. */
    public function state(Docket $docket): JsonResponse
    {
        $progress = $this->progress->of([$docket->id])[$docket->id];

        $toTell = $this->toTell($docket);
        $isClosing = $docket->refresh()->state === DocketState::Settled && $progress->isOver();

        if ($this->isEnding($docket)) {
            return new JsonResponse(['waiting' => max(1, $progress->begun), 'told' => $this->ending($progress)]);
        }

        return new JsonResponse([
            'waiting' => $isClosing ? 1 : $progress->waiting + $toTell,
            'told' => $this->moving($progress, $isClosing, $toTell),
        ]);
    }

    /** Whether lines are being ended in the queue. */
    private function isEnding(Docket $docket): bool
    {
        return Ending::query()->where('docket_id', $docket->id)->whereNull('ended_at')->exists();
    }

    private function ending(DocketProgress $progress): string
    {
        return $this->words->say('dockets.ending_so_far', [
            'open' => number_format($progress->begun + $progress->waiting),
            'of' => number_format($progress->meant()),
        ]);
    }

    public function settle(SettleRequest $request, Docket $docket, SettleDocket $settle): RedirectResponse
    {
        try {
            $settle->handle($request->person(), $docket);
        } catch (DeedError $e) {
            return to_route('dockets.show', $docket)->withErrors(['deed' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket);
    }

    /**
     * Of transfers only what a person brings to its end is ticked; the rest a registrar says, or the public record.
     *
     * @param  list<int>|null  $lines  null: all that are open
     * @return list<int>|null
     */
    private function tickable(Docket $docket, ?array $lines): ?array
    {
        $slip = self::isTransfer($this->deeds->of($docket)) ? $this->deeds->of($docket)->slip($docket) : null;

        return $slip === null ? $lines : array_values(array_intersect($lines ?? $slip->tickable(), $slip->tickable()));
    }

    private static function isTransfer(Deed $deed): bool
    {
        return $deed instanceof TransferNames || $deed instanceof TransferAway;
    }

    public function tick(TickRequest $request, Docket $docket, EndMany $end): RedirectResponse
    {
        try {
            $count = $end->handle(
                $request->person(),
                $docket,
                $request->how(),
                $this->tickable($docket, $request->lines()),
                $request->how() === 'done' ? $request->on() : null,
                $request->string('reason')->toString(),
            );
        } catch (DeedError $e) {
            return to_route('dockets.show', $docket)
                ->withInput(OldInput::of($request))
                ->withErrors(['deed' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket)->with(
            'told',
            $count === null ? $this->words->say('dockets.ending') : $this->words->count('dockets.ticked.'.$request->how(), $count),
        );
    }

    public function callOff(SettleRequest $request, Docket $docket, EndMany $end): RedirectResponse
    {
        $onlyWaiting = $request->input('which') === 'waiting';
        $count = $end->handle($request->person(), $docket, $onlyWaiting ? 'waiting_called_off' : 'called_off');
        if ($count === null) {
            return to_route('dockets.show', $docket)->with('told', $this->words->say('dockets.ending'));
        }
        $open = $onlyWaiting ? 0 : $docket->lines()->whereIn('state', LineState::OPEN)->count();

        return to_route('dockets.show', $docket)->with(
            'told',
            $this->words->count('dockets.ticked.called_off', $count).
                ($open === 0 ? '' : ' '.$this->words->count('dockets.ticked.told_already', $open)),
        );
    }

    /** Writes once more to the receiver, whose word is waited for. */
    public function write(SignedInRequest $request, Docket $docket, AskReceiver $ask): RedirectResponse
    {
        try {
            $ask->again($request->person(), $docket);
        } catch (DeedError $e) {
            return to_route('dockets.show', $docket)->withErrors(['deed' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket)->with('told', $this->words->say('letters.again'));
    }

    /** Writes once more to a registrant, whose word is waited for. */
    /** Another link to the codes that nobody has read. */
    public function sendCodes(SignedInRequest $request, Docket $docket, HandOutCodes $codes): RedirectResponse
    {
        try {
            $codes->again($request->person(), $docket);
        } catch (DeedError $e) {
            return to_route('dockets.show', $docket)->withErrors(['docket' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket)->with('told', __('deeds.transfer_away.sent_again'));
    }

    public function writeToSide(SignedInRequest $request, Docket $docket, Confirmation $confirmation, AskToConfirm $ask): RedirectResponse
    {
        try {
            $ask->again($request->person(), $confirmation);
        } catch (DeedError $e) {
            return to_route('dockets.show', $docket)->withErrors(['deed' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket)->with('told', $this->words->say('letters.again'));
    }

    public function proof(Docket $docket): View
    {
        return view('dockets.proof', [
            ...$this->told($docket->load('proof')),
            'proof' => $docket->proof ?? abort(404),
            'lines' => $docket->lines()->with('name')->get(),
        ]);
    }

    public function proofText(Docket $docket): Response
    {
        $proof = $docket->load('proof')->proof ?? abort(404);

        return ProofText::download($proof, "docket-{$docket->id}");
    }

    /** The page of the same deed on the same terms, with those of its names that did not go. */
    public function again(SettleRequest $request, Docket $docket, GatherNames $gather): RedirectResponse
    {
        $ids = DocketLine::query()
            ->where('docket_id', $docket->id)
            ->whereIn('state', [LineState::Stopped, LineState::Refused, LineState::CalledOff])
            ->orderBy('position')
            ->toBase()
            ->pluck('name_id')
            ->all();
        $ids = array_values(array_filter($ids, is_int(...)));
        if ($ids === []) {
            return to_route('dockets.show', $docket)->withErrors(['deed' => __('deeds.errors.none_again')]);
        }
        $said = ['of' => $gather->list($request->person(), $ids), ...$this->deeds->of($docket)->said($docket->terms)];

        return $docket->deed === HandOverNames::key() ? to_route('hand-over', $said) : to_route('deeds.show', [$docket->deed, ...$said]);
    }

    /** What its registrars are still to be told for the first time: the page goes on when that is done. */
    private function toTell(Docket $docket): int
    {
        return Order::query()
            ->whereIn('docket_line_id', DocketLine::query()->where('docket_id', $docket->id)->select('id'))
            ->where('state', OrderState::Waiting)
            ->where('attempts', 0)
            ->count();
    }

    private function moving(DocketProgress $progress, bool $isClosing, int $toTell): string
    {
        return match (true) {
            $isClosing => $this->words->say('dockets.closing'),
            $progress->waiting === 0 && $toTell > 0 => $this->words->count('dockets.to_tell', $toTell),
            default => $this->words->count('dockets.left', $progress->waiting),
        };
    }

    /** @return array<string, mixed> what every page of a docket tells */
    private function told(Docket $docket): array
    {
        $client = $this->term($docket, 'client');
        $receiver = $this->term($docket, 'receiver');
        $by = is_string($docket->terms['answer_by'] ?? null) ? Instant::of($docket->terms['answer_by']) : null;

        return [
            'docket' => $docket->load(['preparer', 'settler', 'proof']),
            'deed' => $this->deeds->of($docket),
            'receiver' => $receiver === null
                    ? null
                    : Account::query()
                        ->with(['registrar', 'owner'])
                        ->findOrFail($receiver),
            'client' => $client === null ? null : Client::query()->find($client),
            'by' => $by,
            'isOver' => $this->clock->isPast($by),
            'late' => Link::query()
                ->where('docket_id', $docket->id)
                ->whereNotNull('late_on')
                ->whereNull('used_at')
                ->whereNull('withdrawn_at')
                ->orderBy('id')
                ->get(),
            'words' => $this->words,
        ];
    }

    private function term(Docket $docket, string $key): ?int
    {
        $value = $docket->terms[$key] ?? null;

        return is_int($value) ? $value : null;
    }
}
