<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Http\KnownDevice;
use App\Http\Middleware\EndsInTime;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;

/** Somebody has shown who they are: whichever page they come from, this is what signing in does. */
final readonly class OpenSession
{
    public function __construct(private HouseLog $log)
    {
    }

    public function handle(Request $request, User $user): void
    {
        Auth::login($user);
        $request->session()->regenerate();
        EndsInTime::begin($request);
        $this->log->write('signed_in', 'person', $user->id, [], $user->id);
        Cookie::queue(KnownDevice::cookie($user->id));
    }
}
