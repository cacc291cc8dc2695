<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Actions\People\SecondFactor;
use App\Models\User;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** Signing in and out. */
final class SessionController
{
    private const WAITING = 'waits_for_code';

    /** So long a right password waits for its code. */
    private const SECONDS = 300;

    public function create(): View|RedirectResponse
    {
        if (User::query()->doesntExist()) {
            return to_route('begin');
        }

        return view('session.sign-in');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $known = Auth::validate(['email' => fn (Builder $query) => $query->whereRaw('lower(email) = lower(?)', [$request->string('email')->trim()->toString()]), 'password' => $request->string('password')->toString(), 'may_sign_in' => true]);
        if (! $known) {
            return back()->onlyInput('email')->withErrors(['email' => __('session.unknown')]);
        }
        $user = Auth::getLastAttempted();
        if ($user instanceof User && $user->otp_secret !== null) {
            $request->session()->put(self::WAITING, [$user->id, time()]);

            return to_route('sign-in.second');
        }

        return $user instanceof User ? $this->open($request, $user) : back();
    }

    public function second(Request $request): View|RedirectResponse
    {
        return $this->waiting($request) === null ? to_route('sign-in') : view('session.second');
    }

    public function storeSecond(SecondRequest $request, SecondFactor $second): RedirectResponse
    {
        $user = $this->waiting($request);
        if ($user === null) {
            return to_route('sign-in')->withErrors(['email' => __('session.waited')]);
        }
        if (! $second->takes($user, $request->string('code')->toString())) {
            return back()->withErrors(['code' => __('session.code_wrong')]);
        }
        $request->session()->forget(self::WAITING);

        return $this->open($request, $user);
    }

    private function open(Request $request, User $user): RedirectResponse
    {
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->intended(route('rounds'));
    }

    /** Whose password was right a moment ago, and whose code is still to come. */
    private function waiting(Request $request): ?User
    {
        $kept = $request->session()->get(self::WAITING);

        return is_array($kept) && is_int($kept[0] ?? null) && is_int($kept[1] ?? null) && $kept[1] > time() - self::SECONDS ? User::query()->where('may_sign_in', true)->find($kept[0]) : null;
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return to_route('sign-in');
    }
}
