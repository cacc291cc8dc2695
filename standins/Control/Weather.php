<?php

declare(strict_types=1);

namespace Standin\Control;

use Standin\Store;

/** What befalls the next answers of a gate, although what was commanded has been carried out. */
enum Weather: string
{
    case Fair = 'fair';
    case ClosesAfter = 'the connection closes before the answer';
    case Silent = 'no answer comes';
    case Twice = 'the answer comes twice';
    case Garbage = 'garbage comes instead of the answer';
    case Slow = 'the answer comes late';

    private const KEY = 'weather';

    /** What the next answer meets; each time counts one down. */
    public static function now(Store $store): self
    {
        [$times, $weather] = [...explode(' ', $store->told(self::KEY) ?? '', 2), ''];
        $left = (int) $times;
        if ($left <= 0) {
            return self::Fair;
        }
        $store->tell(self::KEY, ($left - 1)." {$weather}");

        return self::tryFrom($weather) ?? self::Fair;
    }

    public function set(Store $store, int $times): void
    {
        $store->tell(self::KEY, "{$times} {$this->value}");
    }
}
