<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Actions\Names\GatherNames;
use App\Http\SignedInRequest;
use App\Models\Account;
use App\Queries\Roll\RollFilter;
use Illuminate\Http\RedirectResponse;

/** All that an account holds, gathered for one deed; what can't go stays listed on that deed's page. */
final readonly class EmptyAccountController
{
    public function __invoke(Account $account, SignedInRequest $request, GatherNames $gather): RedirectResponse
    {
        [$list, $more] = $gather->whole($request->person(), new RollFilter(account: $account->id));
        $redirect = match ($request->word('way')) {
            'transfer' => to_route('deeds.show', ['transfer', 'of' => $list]),
            'plan' => to_route('plans.create', ['of' => $list]),
            default => to_route('hand-over', ['of' => $list]),
        };

        return $more === 0
            ? $redirect
            : $redirect->with('told', trans_choice('accounts.empty.more', $more, ['count' => number_format($more)]));
    }
}
