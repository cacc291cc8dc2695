<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Attribute;
use ValueError;

/** A whole number from 0 to 999: years, months or days. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Number implements RuleIs
{
    public function __construct(private string $key)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function read(mixed $given): int
    {
        return is_int($given) && $given >= 0 && $given <= 999 ? $given : throw new ValueError('a whole number from 0 to 999');
    }
}
