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

    public static function noHead(): self
    {
        return new self('This is no head of the records of a house.');
    }

    public static function notSignedByUs(): self
    {
        return new self('It was changed, or another house signed it.');
    }

    public static function noKey(): self
    {
        return new self('The key that heads are signed with is missing or too short.');
    }
}
