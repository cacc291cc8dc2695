<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use RuntimeException;

/** An answer of a directory that is JSON but not the object that was asked for. */
final class RdapError extends RuntimeException
{
    public static function otherClass(string $expected, ?string $given): self
    {
        return new self("The answer should be a {$expected}, and is ".($given === null ? 'of no class.' : "a {$given}."));
    }

    public static function otherName(string $asked, string $given): self
    {
        return new self("Asked for {$asked}, the directory answered for {$given}.");
    }

    public static function noService(string $path): self
    {
        return new self("{$path} should be a list of names and a list of addresses (RFC 9224 §3).");
    }
}
