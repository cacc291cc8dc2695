<?php

declare(strict_types=1);

namespace Acre\Wire\Card;

use RuntimeException;

/** Why a file of cards could not be read. */
final class CardError extends RuntimeException
{
    public static function none(): self
    {
        return new self('There is no card in it: a vCard begins with BEGIN:VCARD.');
    }

    public static function tooBig(int $most): self
    {
        return new self("It is bigger than the {$most} bytes that are read.");
    }

    public static function tooMany(int $most): self
    {
        return new self("It holds more than {$most} cards.");
    }

    public static function malformed(int $card, string $why): self
    {
        return new self("Card {$card} can’t be read: {$why}");
    }
}
