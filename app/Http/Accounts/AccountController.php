<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Actions\Handover\LockAgain;
use App\Actions\SaveRow;
use App\Http\SignedInRequest;
use App\Models\Account;
use App\Models\Client;
use App\Models\Custodian;
use App\Models\Registrar;
use App\Outside\Registrar\Registrars;
use App\Queries\Accounts\FindAccounts;
use App\Queries\Accounts\GateState;
use App\Queries\Custody\ReadCustody;
use App\Queries\Setbacks\ReadSetbacks;
use App\Queries\Tallies;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Accounts: a panel at a registrar, with number and login. */
final readonly class AccountController
{
    public const LISTED = 200;

    public function __construct(
        private SaveRow $save,
        private Tallies $tallies,
        private GateState $gate,
        private ReadCustody $custody,
        private Words $words,
        private ReadSetbacks $setbacks,
        private Registrars $registrars,
    ) {
    }

    public function index(Request $request, FindAccounts $find): View
    {
        $asked = $request->query('q');
        $text = is_string($asked) ? mb_substr(trim($asked), 0, 200) : '';

        $accounts = $find->matching($text, null, self::LISTED);

        return view('accounts.index', ['accounts' => $accounts, 'text' => $text, 'tallies' => $this->tallies->by('account_id', $accounts)]);
    }

    public function create(Request $request): View
    {
        $account = new Account();
        if ($request->integer('registrar') > 0) {
            $account->registrar_id = $request->integer('registrar');
        }

        return $this->form($account);
    }

    public function store(AccountRequest $request): RedirectResponse
    {
        $account = $this->save->handle($request->person(), new Account(), $request->columns(), null);

        return to_route('accounts.show', $account)->with('told', __('forms.saved', ['what' => $account->number]));
    }

    public function show(Account $account): View
    {
        return view('accounts.show', [
            'account' => $account->load(['registrar', 'owner']),
            'tally' => $this->tallies->by('account_id', [$account])[$account->id] ?? null,
            'extras' => $this->tallies->extrasIn($account->id),
            'last' => $this->tallies->lastHandover($account->id),
            'unlocked' => $this->tallies->unlockedFor($account->id),
            'custody' => $this->custody->of([$account->id])[$account->id]['custody'],
            'custodians' => Custodian::query()->whereNull('left_on')->orderByRaw('lower(name)')->limit(500)->pluck('name', 'id')->all(),
            'words' => $this->words,
            'suspended' => $this->registrars->isSuspended($account),
            'setbacks' => $this->setbacks->ofAccount($account->id),
            'gate' => $account->registrar->link !== 'slip' ? $this->gate->of($account->id) : null,
        ]);
    }

    /** Somebody has locked it again at the registrar's page. */
    public function locked(Account $account, SignedInRequest $request, LockAgain $lock, TradeClock $clock): RedirectResponse
    {
        $lock->accountLocked($request->person(), $account, $clock->now());

        return to_route('accounts.show', $account)->with('told', $this->words->say('handover.account_locked'));
    }

    public function edit(Account $account): View
    {
        return $this->form($account);
    }

    public function update(Account $account, AccountRequest $request): RedirectResponse
    {
        $this->save->handle($request->person(), $account, $request->columns(), $request->integer('version'));

        return to_route('accounts.show', $account)->with('told', __('forms.saved', ['what' => $account->number]));
    }

    private function form(Account $account): View
    {
        return view('accounts.form', [
            'account' => $account,
            'registrars' => Registrar::query()
                ->orderBy('name')
                ->get(['id', 'name']),
            'clients' => Client::query()
                ->standing()
                ->where('is_house', false)
                ->orderBy('name')
                ->get(['id', 'name']),
        ]);
    }
}
