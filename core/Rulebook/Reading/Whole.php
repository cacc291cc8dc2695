<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\Roles;
use Attribute;

/** A value that reads itself. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Whole implements RuleIs
{
    /** @param  class-string<Roles|Published>  $class */
    public function __construct(private string $key, private string $class)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function read(mixed $given): Roles|Published
    {
        return $this->class::read($given);
    }
}
