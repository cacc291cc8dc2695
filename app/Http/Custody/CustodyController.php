<?php

declare(strict_types=1);

namespace App\Http\Custody;

use Acre\Core\Custody\CustodyPart;
use Acre\Core\Time\Instant;
use App\Actions\Custody\GiveCustody;
use App\Actions\SaveRow;
use App\Models\Account;
use App\Models\Custodian;
use App\Models\Handing;
use App\Queries\Custody\ReadCustody;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Who can get into accounts, and what stops once they leave. */
final readonly class CustodyController
{
    public function __construct(private ReadCustody $custody, private SaveRow $save, private TradeClock $clock, private Words $words)
    {
    }

    public function index(): View
    {
        return view('custody.index', [
            'accounts' => $this->custody->of(),
            'custodians' => Custodian::query()->orderByRaw('left_on IS NOT NULL')->orderByRaw('lower(name)')->limit(500)->get(),
            'counts' => $this->custody->counts(),
            'words' => $this->words,
        ]);
    }

    /** What stops once somebody leaves, and to whom it could be handed. */
    public function show(Custodian $custodian): View
    {
        $accounts = $this->custody->of($this->custody->accountsOf($custodian->id));

        return view('custody.show', [
            'custodian' => $custodian,
            'handings' => Handing::query()->where('from_id', $custodian->id)->with('to')->orderByDesc('id')->limit(20)->get(),
            'accounts' => $accounts,
            'stops' => array_filter(
                array_map(fn (array $one): array => $one['custody']->onlyWith($custodian->id), $accounts),
                fn (array $parts): bool => $parts !== [],
            ),
            'others' => Custodian::query()
                ->whereKeyNot($custodian->id)
                ->whereNull('left_on')
                ->orderByRaw('lower(name)')
                ->limit(500)
                ->pluck('name', 'id')
                ->all(),
            'words' => $this->words,
        ]);
    }

    /** How one gets in again where an account was lost. */
    public function lost(Account $account): View
    {
        return view('custody.lost', [
            'account' => $account->load(['registrar', 'owner']),
            'custody' => $this->custody->of([$account->id])[$account->id],
            'words' => $this->words,
        ]);
    }

    public function store(CustodianRequest $request): RedirectResponse
    {
        $custodian = $this->save->handle(
            $request->person(),
            new Custodian(),
            ['name' => trim($request->word('name')), 'mailbox' => $request->filled('mailbox') ? $request->word('mailbox') : null],
            null,
        );

        return to_route('custody.show', $custodian)->with('told', $this->words->say('contacts.saved', ['who' => $custodian->name]));
    }

    public function leave(Custodian $custodian, CustodianRequest $request): RedirectResponse
    {
        $this->save->handle(
            $request->person(),
            $custodian,
            ['left_on' => $custodian->left_on === null ? $this->clock->now() : null],
            $custodian->version,
        );

        return to_route('custody.show', $custodian)->with(
            'told',
            $this->words->say($custodian->left_on === null ? 'contacts.custody.is_back' : 'contacts.custody.has_left', [
                'who' => $custodian->name,
            ]),
        );
    }

    public function give(Account $account, PartRequest $request, GiveCustody $give): RedirectResponse
    {
        $give->give(
            $request->person(),
            $account,
            Custodian::query()->findOrFail($request->integer('custodian')),
            CustodyPart::from($request->word('part')),
            $request->filled('good_until') ? Instant::of($request->word('good_until')) : null,
        );

        return to_route('accounts.show', $account)->with('told', $this->words->say('contacts.custody.written'));
    }

    public function take(Account $account, PartRequest $request, GiveCustody $give): RedirectResponse
    {
        $give->take(
            $request->person(),
            $account,
            Custodian::query()->findOrFail($request->integer('custodian')),
            CustodyPart::from($request->word('part')),
        );

        return to_route('accounts.show', $account)->with('told', $this->words->say('contacts.custody.written'));
    }
}
