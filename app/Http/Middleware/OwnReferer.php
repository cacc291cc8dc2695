<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whoever is sent back goes back to a page of this house: where a request says it came from elsewhere, that is not heard. */
final class OwnReferer
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $referer = (string) $request->headers->get('referer');
        if ($referer !== '' && ! str_starts_with("{$referer}/", rtrim(config()->string('app.url'), '/').'/')) {
            $request->headers->remove('referer');
        }

        return $next($request);
    }
}
