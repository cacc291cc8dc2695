<?php

declare(strict_types=1);

namespace Acre\Wire\Sealed;

use RuntimeException;

final class SealedError extends RuntimeException
{
    public static function notKept(): self
    {
        return new self('This is no file that ./acre keep wrote.');
    }

    public static function passphrase(): self
    {
        return new self('The passphrase is another one, or the file was changed.');
    }

    public static function changed(): self
    {
        return new self('The file was changed, or cut off.');
    }
}
