<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Symfony\Component\HttpFoundation\Cookie as HttpCookie;

/**
 * A browser in which somebody has signed in before. Its tries are counted apart, so that whoever guesses at a person elsewhere
 * does not lock that person out.
 */
final class KnownDevice
{
    private const NAME = 'acre_known';

    private const MINUTES = 259_200;

    public static function name(): string
    {
        return (config()->boolean('session.secure') ? '__Host-' : '').self::NAME;
    }

    /** Encrypted, as every cookie is. */
    public static function cookie(int $userId): HttpCookie
    {
        return Cookie::make(self::name(), $userId.'|'.bin2hex(random_bytes(16)), self::MINUTES);
    }

    /** @return string|null what its tries are counted under; null: nobody is known to have signed in there */
    public static function of(Request $request, ?int $userId): ?string
    {
        $kept = $request->cookie(self::name());

        return $userId !== null &&
            is_string($kept) &&
            preg_match('/^(\d{1,18})\|[0-9a-f]{32}$/D', $kept, $found) === 1 &&
            (int) $found[1] === $userId
            ? $kept
            : null;
    }
}
