<?php

declare(strict_types=1);

namespace Standin\Control;

use Standin\Store;

/**
 * What befalls the next answers of a place; what was asked for has been carried out, but where the words say that nothing could be written.
 */
enum Weather: string
{
    case Fair = 'fair';
    case ClosesAfter = 'the connection closes before the answer';
    case Silent = 'no answer comes';
    case Twice = 'the answer comes twice';
    case Garbage = 'garbage comes instead of the answer';
    case Slow = 'the answer comes late';
    /** Nothing is carried out. */
    case DiskFull = 'its disk is full';
    /** Nothing is even asked: whoever connects is shown another’s certificate. */
    case OthersCertificate = 'it shows a certificate that nobody here signed';

    /** Seconds that a late answer takes. */
    public const LATE = 2.0;

    /** What the next answer of a place meets; each time counts one down. */
    public static function now(Store $store, Place $place): self
    {
        [$times, $weather, $after] = self::standing($store, $place);
        if ($times <= 0 || $weather === self::OthersCertificate) {
            return self::Fair;
        }
        self::put($store, $place, $weather, $after > 0 ? $times : $times - 1, max(0, $after - 1));
        if ($after > 0) {
            return self::Fair;
        }

        return $weather;
    }

    /** Whether the next one who connects is shown a foreign certificate; each time counts one down. */
    public static function isForeign(Store $store, Place $place): bool
    {
        [$times, $weather] = self::standing($store, $place);
        if ($times <= 0 || $weather !== self::OthersCertificate) {
            return false;
        }
        self::put($store, $place, $weather, $times - 1);

        return true;
    }

    /** @param  int  $after  so many answers go well before */
    public function set(Store $store, Place $place, int $times, int $after = 0): void
    {
        self::put($store, $place, $this, $times, $after);
    }

    /** @return array{int, self, int} */
    private static function standing(Store $store, Place $place): array
    {
        [$times, $after, $weather] = [...explode(' ', $store->told("weather of {$place->value}") ?? '', 3), '', ''];

        return [(int) $times, self::tryFrom($weather) ?? self::Fair, (int) $after];
    }

    private static function put(Store $store, Place $place, self $weather, int $times, int $after = 0): void
    {
        $store->tell("weather of {$place->value}", "{$times} {$after} {$weather->value}");
    }
}
