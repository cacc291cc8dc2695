<?php

declare(strict_types=1);

namespace App\Http\Money;

use Acre\Core\Balance\Credit as Left;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use App\Actions\Money\KeepMoney;
use App\Http\SignedInRequest;
use App\Jobs\AskMoney;
use App\Models\Account;
use App\Models\Credit;
use App\Models\TopUp;
use App\Outside\Registrar\Registrars;
use App\Queries\Money\LowBalanceTold;
use App\Queries\Money\Purses;
use App\Queries\Money\ReadLedger;
use App\Queries\Money\ReadReckoning;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The money of an account: what it holds, what was charged, and what is planned to be paid in. */
final readonly class MoneyController
{
    public function __construct(private KeepMoney $keep, private Words $words)
    {
    }

    public function show(
        Account $account,
        Request $request,
        Purses $purses,
        ReadLedger $ledger,
        HouseSettings $house,
        TradeClock $clock,
        Registrars $registrars,
        ReadReckoning $reckoning,
        LowBalanceTold $low,
    ): View {
        $typed = fn (string $key): string => is_string($request->query($key)) ? mb_substr($request->query($key), 0, 20) : '';
        $purse = $purses->of([$account->id])[$account->id];

        return view('accounts.money', [
            'account' => $account->load('registrar'),
            'purse' => $purse,
            'currency' => $purse->holds->currency ?? $house->currency(),
            'entries' => $ledger->of($account->id),
            'topUps' => TopUp::query()
                ->with('planner')
                ->where('account_id', $account->id)
                ->where('state', 'planned')
                ->orderBy('planned_for')
                ->limit(100)
                ->get(),
            'credits' => Credit::query()->where('account_id', $account->id)->whereNull('withdrawn_on')->orderBy('id')->limit(100)->get(),
            'left' => array_map(
                fn (Money $one): string => $one->text(),
                Sums::of(array_map(fn (Left $one): Money => $one->holds, $purse->credits)),
            ),
            'amiss' => $reckoning->of($account->id, $clock->now()),
            'low' => $low->of($account->id),
            'isLinked' => $registrars->hasLink($account),
            'amount' => $typed('amount'),
            'on' => $typed('on') === '' ? $clock->today()->date() : $typed('on'),
            'today' => $clock->today(),
        ]);
    }

    public function balance(Account $account, BalanceRequest $request): RedirectResponse
    {
        $this->keep->balance($request->person(), $account, $request->amount());

        return $this->back($account, 'money.balance_kept');
    }

    public function ask(Account $account): RedirectResponse
    {
        AskMoney::dispatch($account->id);

        return $this->back($account, 'money.is_asked');
    }

    public function plan(Account $account, TopUpRequest $request): RedirectResponse
    {
        $this->keep->plan($request->person(), $account, $request->amount(), $request->on());

        return $this->back($account, 'money.planned');
    }

    public function paid(Account $account, TopUp $topUp, SignedInRequest $request): RedirectResponse
    {
        return $this->end($account, $topUp, $request, 'paid');
    }

    public function withdraw(Account $account, TopUp $topUp, SignedInRequest $request): RedirectResponse
    {
        return $this->end($account, $topUp, $request, 'withdrawn');
    }

    /** @param  'paid'|'withdrawn'  $how */
    private function end(Account $account, TopUp $topUp, SignedInRequest $request, string $how): RedirectResponse
    {
        abort_unless($topUp->account_id === $account->id, 404);

        return $this->keep->end($request->person(), $topUp, $how)
            ? $this->back($account, "money.{$how}")
            : to_route('accounts.money', $account)->withErrors(['top_up' => $this->words->say('money.ended_meanwhile')]);
    }

    private function back(Account $account, string $told): RedirectResponse
    {
        return to_route('accounts.money', $account)->with('told', $this->words->say($told));
    }
}
