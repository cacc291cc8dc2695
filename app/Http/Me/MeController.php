<?php

declare(strict_types=1);

namespace App\Http\Me;

use Acre\Core\Time\Instant;
use Acre\Wire\Otp\Totp;
use App\Actions\People\SecondFactor;
use App\Actions\People\SetPassword;
use App\Http\SignedInRequest;
use App\Support\HouseLog;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\View\View;

/** One's own way in: where one is signed in, and the second factor. */
final readonly class MeController
{
    private const SECRET = 'second_factor_secret';

    public function __construct(private Connection $database, private SecondFactor $second, private HouseLog $log)
    {
    }

    public function show(SignedInRequest $request): View
    {
        $user = $request->person();
        $sessions = $this->database
            ->table('sessions')
            ->where('user_id', $user->id)
            ->orderByDesc('last_activity')
            ->limit(50)
            ->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return view('me.show', [
            'sessions' => array_map(
                fn (Row $row): array => [
                    'key' => hash('sha256', $row->text('id')),
                    'isThis' => $row->text('id') === $request->session()->getId(),
                    'from' => $row->textOrNull('ip_address') ?? '',
                    'with' => mb_strimwidth($row->textOrNull('user_agent') ?? '', 0, 90, '…'),
                    'last' => Instant::second($row->int('last_activity')),
                ],
                Row::all($sessions),
            ),
            'hasSecond' => $user->otp_secret !== null,
            'left' => $this->second->codesLeft($user),
        ]);
    }

    /** One session, or every other one. */
    public function endSession(SignedInRequest $request): RedirectResponse
    {
        $user = $request->person();
        $wanted = $request->word('session');
        $ended = 0;
        foreach (
            Row::all(
                $this->database
                    ->table('sessions')
                    ->where('user_id', $user->id)
                    ->get(['id']),
            ) as $row
        ) {
            $isThis = $row->text('id') === $request->session()->getId();
            if (! $isThis && ($wanted === 'others' || hash_equals(hash('sha256', $row->text('id')), $wanted))) {
                $ended += $this->database->table('sessions')->where('id', $row->text('id'))->delete();
            }
        }
        $this->log->write('sessions_ended', 'person', $user->id, ['count' => $ended], $user->id);

        return to_route('me')->with('told', trans_choice('session.ended', $ended, ['told' => number_format($ended)]));
    }

    public function changePassword(PasswordRequest $request, SetPassword $set): RedirectResponse
    {
        $user = $request->person();
        $set->change($user, $request->string('password')->toString(), $request->session()->getId());
        $request->session()->regenerate();
        // This session goes on under the new one.
        Auth::guard('web')->login($user->refresh());

        return to_route('me')->with('told', __('session.changed'));
    }

    public function second(SignedInRequest $request): View|RedirectResponse
    {
        $user = $request->person();
        if ($user->otp_secret !== null) {
            return to_route('me');
        }
        $kept = $request->session()->get(self::SECRET);
        $secret = is_string($kept) ? (string) base64_decode($kept, true) : SecondFactor::secret();
        $request->session()->put(self::SECRET, base64_encode($secret));
        $text = Totp::base32($secret);

        return view('me.second', [
            'secret' => implode(' ', str_split($text, 4)),
            'address' => Totp::address($user->email, 'Acre Roll', $text),
        ]);
    }

    public function beginSecond(SignedInRequest $request): View|RedirectResponse
    {
        $user = $request->person();
        $kept = $request->session()->get(self::SECRET);
        if (! Hash::check($request->word('password'), $user->password ?? '')) {
            return to_route('me.second')->withErrors(['password' => __('session.password_wrong')]);
        }
        $codes =
            is_string($kept) && $user->otp_secret === null
                ? $this->second->begin($user, (string) base64_decode($kept, true), $request->word('code'))
                : null;
        if ($codes === null) {
            return to_route('me.second')->withErrors(['code' => __('session.code_wrong')]);
        }
        $request->session()->forget(self::SECRET);

        return view('me.codes', ['codes' => $codes]);
    }

    public function endSecond(SignedInRequest $request): RedirectResponse
    {
        $user = $request->person();
        if (! Hash::check($request->word('password'), $user->password ?? '')) {
            return to_route('me')->withErrors(['password' => __('session.password_wrong')]);
        }
        if (! $this->second->takes($user, $request->word('code'))) {
            return to_route('me')->withErrors(['code' => __('session.second_needed')]);
        }
        $this->second->end($user);

        return to_route('me')->with('told', __('session.second_ended'));
    }
}
