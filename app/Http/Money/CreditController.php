<?php

declare(strict_types=1);

namespace App\Http\Money;

use App\Actions\Money\KeepCredit;
use App\Http\SignedInRequest;
use App\Models\Account;
use App\Models\Credit;
use Illuminate\Http\RedirectResponse;

/** Money at an account that pays only for some things. */
final readonly class CreditController
{
    public function __construct(private KeepCredit $keep)
    {
    }

    public function store(Account $account, CreditRequest $request): RedirectResponse
    {
        $this->keep->enter($request->person(), $account, $request->credit());

        return $this->back($account, 'money.credit.kept');
    }

    public function withdraw(Account $account, Credit $credit, SignedInRequest $request): RedirectResponse
    {
        abort_unless($credit->account_id === $account->id, 404);
        $this->keep->withdraw($request->person(), $credit);

        return $this->back($account, 'money.credit.is_withdrawn');
    }

    private function back(Account $account, string $told): RedirectResponse
    {
        return redirect(route('accounts.money', $account).'#credits')->with('told', __($told));
    }
}
