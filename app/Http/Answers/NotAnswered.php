<?php

declare(strict_types=1);

namespace App\Http\Answers;

use RuntimeException;

/** Why what was typed is no answer; the message is for whoever typed it. */
final class NotAnswered extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
