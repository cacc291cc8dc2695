<?php

declare(strict_types=1);

namespace App\Http\Handover;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Names\GatherNames;
use App\Actions\Names\ReadPastedNames;
use App\Actions\Registrants\RegistrantChosen;
use App\Actions\Registrants\RegistrantInWords;
use App\Actions\Registrants\WhoIsMeant;
use App\Http\Deeds\CarryDeed;
use App\Http\OldInput;
use App\Http\Sheaf\PasteRequest;
use App\Models\Account;
use App\Models\Client;
use App\Queries\Accounts\FindAccounts;
use App\Queries\Deeds\JudgedName;
use App\Queries\Deeds\JudgeNames;
use App\Queries\Deeds\Verdicts;
use App\Queries\Tallies;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use Illuminate\View\View;

/** The page of a handover: terms, who is meant, what changes, and each name's verdict; then the button that does it. */
final readonly class HandOverController
{
    private const DAYS_TO_ANSWER = 14;

    /** So many names are shown one by one before the rest is only counted. */
    public const ROWS = 300;

    /** So many of those we serve are links; more are a list to choose from. */
    public const LISTED = 60;

    public function __construct(
        private GatherNames $gather,
        private JudgeNames $judge,
        private HandOverNames $deed,
        private TradeClock $clock,
        private FindAccounts $find,
        private Tallies $tallies,
        private WhoIsMeant $who,
        private RegistrantInWords $saying,
        private Words $words,
    ) {
    }

    public function show(HandOverRequest $request): View
    {
        $ids = $request->names($this->gather);
        if ($ids === null || $ids === []) {
            return view('handover.choose', ['emptied' => $ids === []]);
        }
        $receiver =
            $request->receiverId() === null
                ? null
                : Account::query()
                    ->with(['registrar', 'owner'])
                    ->find($request->receiverId());
        $now = $this->clock->now();
        $by = $request->answerBy($now->toDay()->plusDays($receiver->registrar->accept_days ?? self::DAYS_TO_ANSWER));
        $registrant = $this->registrant($request, $by);
        $terms = new HandoverTermsChosen($receiver?->id, $this->client($request, $receiver)?->id, $by, $registrant);
        $judged = $this->byGiver($this->judge->handle($this->deed, $ids, $terms->pack(), $now));
        $verdicts = new Verdicts($judged, $request->without());

        if ($request->query('found') === 'only') {
            return view('handover.found', ['request' => $request, 'candidates' => $this->candidates($request, $judged)]);
        }

        return view('handover.show', [
            'request' => $request,
            'asksFirst' => $receiver !== null && $receiver->registrar->handoverTerms()->asksFirst($receiver->facts()),
            'verdicts' => $verdicts,
            'rows' => $verdicts->rows($request->query('rows') === 'all' ? PHP_INT_MAX : self::ROWS),
            'address' => $request->address(...),
            'receiver' => $receiver,
            'client' => $this->client($request, $receiver),
            'registrant' => $registrant,
            'registrantCalled' => $registrant === null ? '' : $this->saying->called($registrant),
            'choices' => $this->who->choices(),
            'clients' => Client::names(),
            'by' => $by,
            'candidates' => $this->candidates($request, $judged),
            'tally' => $receiver === null ? null : $this->tallies->by('account_id', [$receiver])[$receiver->id] ?? null,
            'example' => $receiver === null ? null : $this->tallies->exampleIn($receiver->id),
            'last' => $receiver === null ? null : $this->tallies->lastHandover($receiver->id),
            'token' => old('token', (string) Str::uuid()),
            'shown' => StoreHandOverRequest::shows($verdicts->clearIds()),
            'words' => $this->words,
        ]);
    }

    public function store(StoreHandOverRequest $request, CarryDeed $carry): RedirectResponse
    {
        $by = $request->answerBy($this->clock->today());
        $registrant = $this->registrant($request, $by);
        if ($registrant === null && $request->word('contact') !== '') {
            return redirect($request->address(['client' => $request->word('client')]))->withErrors([
                'deed' => DeedError::nobodyMeant()->getMessage(),
            ]);
        }
        $terms = new HandoverTermsChosen($request->integer('receiver'), $request->clientId(), $by, $registrant);
        if ($terms->clientId !== null) {
            Client::query()->findOrFail($terms->clientId);
        }
        try {
            $docket = $carry->handle($request, $request->shown(), HandOverNames::key(), $terms->pack());
        } catch (DeedError $e) {
            return redirect($request->address(['client' => $request->word('client')]))->withErrors(['deed' => $e->getMessage()]);
        }

        return to_route('dockets.show', $docket);
    }

    /** Names pasted for one deed become a list of one's own. */
    public function paste(PasteRequest $request, ReadPastedNames $read): RedirectResponse
    {
        $pasted = $read->handle($request->string('names')->toString());
        if ($pasted->known === []) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors(['names' => __('names.none_known', ['unknown' => $pasted->unknownShort()])]);
        }
        $list = $this->gather->list($request->person(), $pasted->known);
        $redirect = to_route('hand-over', ['of' => $list]);

        return $pasted->unknown === []
            ? $redirect
            : $redirect->with('told', trans_choice('names.some_unknown', count($pasted->unknown), ['unknown' => $pasted->unknownShort()]));
    }

    /**
     * Grouped by the account that gives them, in the order in which the first of each was asked for.
     *
     * @param  list<JudgedName>  $judged
     * @return list<JudgedName>
     */
    private function byGiver(array $judged): array
    {
        $order = array_flip(array_values(array_unique(array_map(fn (JudgedName $one): int => $one->giver(), $judged))));
        usort($judged, fn (JudgedName $a, JudgedName $b): int => $order[$a->giver()] <=> $order[$b->giver()]);

        return $judged;
    }

    /**
     * At the registrar of these names, where they have only one.
     *
     * @param  list<JudgedName>  $judged
     * @return Collection<int, Account>
     */
    private function candidates(HandOverRequest $request, array $judged): Collection
    {
        $registrars = array_values(array_unique(array_map(fn (JudgedName $one): int => $one->file->account()->registrar ?? 0, $judged)));

        $givers = array_values(array_unique(array_map(fn (JudgedName $one): int => $one->giver(), $judged)));

        return $this->find
            ->matching($request->word('q'), count($registrars) === 1 ? $registrars[0] : null, 24)
            ->reject(fn (Account $account): bool => $givers === [$account->id]);
    }

    /** Who is to be their registrant; null: each keeps its own, or it is not said yet who. */
    private function registrant(HandOverRequest $request, Instant $by): ?RegistrantChosen
    {
        return $request->word('contact') === ''
            ? null
            : $this->who->chosen([...$request->only(HandOverRequest::REGISTRANT), 'by' => $by->date()]);
    }

    private function client(HandOverRequest $request, ?Account $receiver): ?Client
    {
        if ($request->filled('client')) {
            return $request->word('client') === 'keep' ? null : Client::query()->find($request->integer('client'));
        }

        return $receiver?->owner;
    }
}
