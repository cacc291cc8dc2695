<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Acre\Wire\Epp\Command\AccountInfo;
use App\Actions\Gates\SetGatePassword;
use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Gates;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** An account's way in at its registrar's gate. */
final readonly class GateController
{
    public function __construct(private Words $words)
    {
    }

    public function store(GateRequest $request, Account $account, SetGatePassword $set): RedirectResponse
    {
        $password = $request->word('gate_password');
        $set->handle($request->person(), $account, $password === '' ? null : $password);

        return to_route('accounts.show', $account)->with('told', $this->words->say($password === '' ? 'outside.gate.forgotten' : 'outside.gate.kept'));
    }

    /** Signs in there once, and asks nothing but who one is. */
    public function try(Account $account, Gates $gates): RedirectResponse
    {
        try {
            $answer = $gates->of($account->load('registrar'))->command(new AccountInfo($account->number), 'try-'.bin2hex(random_bytes(8)));
            $told = $this->words->say($answer->code()->isSuccess() ? 'outside.gate.open' : 'outside.gate.signed_in', ['words' => $answer->results[0]->message]);
        } catch (NotReached $e) {
            return to_route('accounts.show', $account)->withErrors(['gate' => $e->getMessage()]);
        }

        return to_route('accounts.show', $account)->with('told', $told);
    }
}
