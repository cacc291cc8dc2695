<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Actions\Gates\ConfirmGate;
use App\Actions\Gates\SetGatePassword;
use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Registrars;
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

        return to_route('accounts.show', $account)->with(
            'told',
            $this->words->say($password === '' ? 'outside.gate.forgotten' : 'outside.gate.kept'),
        );
    }

    /** The password may be sent to the gate that the page has shown. */
    public function confirm(ConfirmGateRequest $request, Account $account, ConfirmGate $confirm): RedirectResponse
    {
        if (! $confirm->handle($request->person(), $account, $request->word('gate'))) {
            return to_route('accounts.show', $account)->withErrors(['gate' => $this->words->say('outside.gate.changed_again')]);
        }

        return to_route('accounts.show', $account)->with('told', $this->words->say('outside.gate.confirmed'));
    }

    /** Signs in there once, and asks nothing but who one is. */
    public function try(Account $account, Registrars $registrars): RedirectResponse
    {
        try {
            $said = $registrars->of($account->load('registrar'))?->greet($account) ?? '';
        } catch (NotReached $e) {
            return to_route('accounts.show', $account)->withErrors(['gate' => $e->getMessage()]);
        }

        return to_route('accounts.show', $account)->with('told', $this->words->say('outside.gate.signed_in', ['words' => $said]));
    }
}
