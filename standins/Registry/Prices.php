<?php

declare(strict_types=1);

namespace Standin\Registry;

/** What the simulated registrar asks, in pence; invented. */
final class Prices
{
    public const CURRENCY = 'GBP';

    private const YEAR = [
        'com' => 990,
        'net' => 1090,
        'org' => 1060,
        'co.uk' => 720,
        'uk' => 720,
        'org.uk' => 720,
        'works' => 1390,
        'de' => 680,
        'art' => 1240,
    ];

    private const RESTORE = 8600;

    /** So many times a premium name costs what others cost. */
    private const PREMIUM = 10;

    /** @param  string  $what  create, renew, transfer or restore */
    public static function of(string $what, string $name, int $years = 1): int
    {
        return $what === 'restore'
            ? self::RESTORE
            : (self::YEAR[substr((string) strstr($name, '.'), 1)] ?? 1500) * $years * (self::isPremium($name) ? self::PREMIUM : 1);
    }

    /** Names that are dearer than others of their suffix. */
    public static function isPremium(string $name): bool
    {
        return str_starts_with($name, 'premium-');
    }

    public static function written(int $pence): string
    {
        return sprintf('%d.%02d', intdiv($pence, 100), $pence % 100);
    }
}
