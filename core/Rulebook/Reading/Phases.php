<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Acre\Core\Rulebook\Darkness;
use Acre\Core\Rulebook\EndPhase;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Attribute;
use ValueError;

/** What follows the end of the paid term, stretch by stretch. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Phases implements RuleIs
{
    private const KEYS = ['phase', 'days', 'dark', 'rescue', 'registrar_may_cut', 'price'];

    public function __construct(private string $key)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    /** @return list<EndPhase> */
    public function read(mixed $given): array
    {
        return is_array($given) && array_is_list($given) ? array_map(self::phase(...), $given) : throw new ValueError('a list of phases');
    }

    private static function phase(mixed $given): EndPhase
    {
        if (! is_array($given) || array_diff(array_keys($given), self::KEYS) !== []) {
            throw new ValueError('phase, days, dark, rescue and, if so, registrar_may_cut and price');
        }
        $word = fn (string $key): string => is_string($given[$key] ?? null) ? $given[$key] : '';
        [$phase, $dark, $rescue] = [Phase::tryFrom($word('phase')), Darkness::tryFrom($word('dark')), Rescue::tryFrom($word('rescue'))];
        $days = $given['days'] ?? null;
        $cut = $given['registrar_may_cut'] ?? false;
        if (isset($given['price']) && ($given['price'] !== 'plain' || $rescue !== Rescue::Renew)) {
            throw new ValueError('price plain, of a phase in which it can be renewed');
        }
        if ($phase === null || $dark === null || $rescue === null || ! is_bool($cut) || ! is_int($days) || $days < 1 || $days > 999) {
            throw new ValueError('a known phase, 1 to 999 days, dark "no", "registrar" or "yes", rescue renew, restore or nothing');
        }

        return new EndPhase($phase, $days, $dark, $rescue, $cut, isset($given['price']));
    }
}
