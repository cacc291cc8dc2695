<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session ends twelve hours after its beginning, whatever happens in it (OWASP ASVS 4.0.3, §3.3.2). */
final class EndsInTime
{
    private const SECONDS = 43_200;

    private const BEGUN = 'signed_in_at';

    public static function begin(Request $request): void
    {
        $request->session()->put(self::BEGUN, time());
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $begun = $request->session()->get(self::BEGUN);
        if (! is_int($begun)) {
            self::begin($request);
        } elseif ($begun + self::SECONDS <= time()) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return to_route('sign-in')->with('told', __('session.over'));
        }

        return $next($request);
    }
}
