<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Models\User;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** Signing in and out. */
final class SessionController
{
    public function create(): View|RedirectResponse
    {
        if (User::query()->doesntExist()) {
            return to_route('begin');
        }

        return view('session.sign-in');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $known = Auth::attempt(['email' => fn (Builder $query) => $query->whereRaw('lower(email) = lower(?)', [$request->string('email')->trim()->toString()]), 'password' => $request->string('password')->toString(), 'may_sign_in' => true]);
        if (! $known) {
            return back()->onlyInput('email')->withErrors(['email' => __('session.unknown')]);
        }
        $request->session()->regenerate();

        return redirect()->intended(route('rounds'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return to_route('sign-in');
    }
}
