<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Puts the same strict headers on every answer, errors included: nothing inline, no outside host, no framing. */
final class SecurityHeaders
{
    public const POLICY = "default-src 'none'; style-src 'self'; script-src 'self'; img-src 'self'; font-src 'self'; connect-src 'self'; "
        ."form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => $response->headers->get('Referrer-Policy', 'same-origin'),
            'Permissions-Policy' => 'camera=(), geolocation=(), microphone=()',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            // Without its subdomains, of which this house knows nothing (RFC 6797).
            ...config()->boolean('session.secure') ? ['Strict-Transport-Security' => 'max-age=31536000'] : [],
        ]);

        return $response;
    }
}
