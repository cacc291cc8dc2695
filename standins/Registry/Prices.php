<?php

declare(strict_types=1);

namespace Standin\Registry;

/** What the simulated registrar asks, in pence; invented. */
final class Prices
{
    private const YEAR = ['com' => 990, 'net' => 1090, 'org' => 1060, 'co.uk' => 720, 'uk' => 720, 'org.uk' => 720, 'works' => 1390, 'de' => 680, 'art' => 1240];

    private const RESTORE = 8600;

    /** @param  'create'|'renew'|'transfer'|'restore'  $what */
    public static function of(string $what, string $name, int $years = 1): int
    {
        return $what === 'restore' ? self::RESTORE : (self::YEAR[substr((string) strstr($name, '.'), 1)] ?? 1500) * $years;
    }
}
