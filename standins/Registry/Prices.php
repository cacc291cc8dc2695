<?php

declare(strict_types=1);

namespace Standin\Registry;

use Standin\Store;

/** What the simulated registrars ask, in pence; invented, and from a day on something else where the world was told so. */
final readonly class Prices
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

    public function __construct(private Store $store)
    {
    }

    /**
     * @param  string  $what  create, renew, transfer or restore
     * @param  int  $at  seconds since 1970
     */
    public function of(string $what, string $name, int $at, int $years = 1): int
    {
        return $what === 'restore'
            ? self::RESTORE
            : $this->year(substr((string) strstr($name, '.'), 1), $at) * $years * (self::isPremium($name) ? self::PREMIUM : 1);
    }

    /** From then on a year of names under a suffix costs so much. */
    public function change(string $suffix, int $pence, int $from): void
    {
        $this->store->tell("price of {$suffix}", "{$from} {$pence}");
    }

    private function year(string $suffix, int $at): int
    {
        [$from, $pence] = [...explode(' ', $this->store->told("price of {$suffix}") ?? ''), ''];

        return $pence !== '' && $at >= (int) $from ? (int) $pence : self::YEAR[$suffix] ?? 1500;
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
