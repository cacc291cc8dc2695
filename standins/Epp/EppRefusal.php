<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use RuntimeException;

/** A command that is answered with an error. */
final class EppRefusal extends RuntimeException
{
    private function __construct(public readonly EppCode $result, string $reason)
    {
        parent::__construct($reason);
    }

    public static function because(EppCode $result, string $reason): self
    {
        return new self($result, $reason);
    }
}
