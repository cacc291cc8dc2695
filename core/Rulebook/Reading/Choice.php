<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook\Reading;

use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Rulebook\RegistrantConfirms;
use Attribute;
use ValueError;

/** One of the cases of an enum. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Choice implements RuleIs
{
    /** @param  class-string<MovesBy|RegistrantConfirms>  $enum */
    public function __construct(private string $key, private string $enum)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function read(mixed $given): MovesBy|RegistrantConfirms
    {
        $all = array_column($this->enum::cases(), 'value');
        $last = array_pop($all);

        return (is_string($given) ? $this->enum::tryFrom($given) : null) ?? throw new ValueError(implode(', ', $all)." or {$last}");
    }
}
