<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use RuntimeException;

/** Bytes or a document that are no frame of EPP. */
final class EppError extends RuntimeException
{
    public static function frameLength(int $length, int $limit): self
    {
        return new self("A frame says that it has {$length} bytes; between 5 and {$limit} are read (RFC 5734 §4).");
    }

    public static function otherFrame(string $name): self
    {
        return new self("A greeting or a response was expected, and <{$name}> came (RFC 5730 §2.4, §2.6).");
    }

    public static function unknownCode(string $code): self
    {
        return new self("RFC 5730 §3 has no result code {$code}.");
    }

    public static function noData(string $name): self
    {
        return new self("The response has no <{$name}>.");
    }
}
