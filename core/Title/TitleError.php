<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use DomainException;

final class TitleError extends DomainException
{
    public static function twoHolders(Holding $one, Holding $other): self
    {
        return new self("One name in two accounts at once: {$one->account} and {$other->account}.");
    }
}
