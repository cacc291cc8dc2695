<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Attribute;
use ValueError;

/** True or false. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Flag implements RuleIs
{
    public function __construct(private string $key)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function read(mixed $given): bool
    {
        return is_bool($given) ? $given : throw new ValueError('true or false');
    }
}
