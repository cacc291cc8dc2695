<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Actions\People\SecondFactor;
use App\Jobs\WritePasswordLetterLater;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\View\View;

/** Signing in and out. */
final readonly class SessionController
{
    public function __construct(private HouseLog $log, private OpenSession $session)
    {
    }

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
        $user = User::atMailbox($request->string('email')->toString());
        $password = $request->string('password')->toString();
        // As much work for a stranger as for somebody who is known: how long it takes tells nothing.
        $isRight = $user?->password === null ? Hash::make($password) === '' : Hash::check($password, $user->password);
        if (! $isRight || $user?->may_sign_in !== true) {
            $this->log->write('sign_in_failed', 'person', $user?->id);

            return back()
                ->onlyInput('email')
                ->withErrors(['email' => __('session.unknown')]);
        }
        if (Hash::needsRehash($user->password ?? '')) {
            $user->update(['password' => $password]);
        }
        if ($user->otp_secret !== null) {
            $request->session()->put(self::WAITING, [$user->id, time()]);

            return to_route('sign-in.second');
        }

        return $this->open($request, $user);
    }

    public function forgot(): View
    {
        return view('session.forgot');
    }

    /** A worker writes the letter, so that how long the page takes tells nothing either. */
    public function storeForgot(ForgotRequest $request): RedirectResponse
    {
        WritePasswordLetterLater::dispatch($request->string('email')->trim()->toString());

        return to_route('sign-in')->with('told', __('session.asked'));
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
            $this->log->write('sign_in_failed', 'person', $user->id, ['at' => 'second factor']);

            return back()->withErrors(['code' => __('session.code_wrong')]);
        }
        $request->session()->forget(self::WAITING);

        return $this->open($request, $user);
    }

    private function open(Request $request, User $user): RedirectResponse
    {
        $this->session->handle($request, $user);

        return redirect($this->intended($request));
    }

    /** Where they were going, at this house: a path, whatever host the address was asked at. */
    private function intended(Request $request): string
    {
        $kept = $request->session()->pull('url.intended');
        $parts = is_string($kept) ? parse_url($kept) : false;
        $path = is_array($parts) ? '/'.ltrim($parts['path'] ?? '', '/').(isset($parts['query']) ? '?'.$parts['query'] : '') : '/';

        return $path === '/' ? route('rounds') : url($path);
    }

    /** Whose password was right a moment ago, and whose code is still to come. */
    private function waiting(Request $request): ?User
    {
        $kept = $request->session()->get(self::WAITING);

        return is_array($kept) && is_int($kept[0] ?? null) && is_int($kept[1] ?? null) && $kept[1] > time() - self::SECONDS
            ? User::query()->where('may_sign_in', true)->find($kept[0])
            : null;
    }

    public function destroy(Request $request): RedirectResponse
    {
        $this->log->write('signed_out', 'person', (int) $request->user()?->id, [], $request->user()?->id);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return to_route('sign-in');
    }
}
