<?php

declare(strict_types=1);

namespace Acre\Core\Name;

use InvalidArgumentException;

/** Why what was typed is not a domain name; the message is for the person who typed it. */
final class NameError extends InvalidArgumentException
{
    public static function blank(): self
    {
        return new self('There is no name here.');
    }

    public static function blankInside(string $given): self
    {
        return new self("“{$given}” has a blank in it: one name at a time, without blanks.");
    }

    public static function oneLabel(string $given): self
    {
        return new self("“{$given}” has only one label: a name has a suffix too, such as {$given}.com.");
    }

    public static function suffixAlone(string $given): self
    {
        return new self("“{$given}” is a public suffix, not a name below one.");
    }

    /** RFC 3696 §2: a last label of digits alone would be part of an address. */
    public static function numericSuffix(string $given): self
    {
        return new self("“{$given}” ends in digits alone: no name does.");
    }

    public static function emptyLabel(string $given): self
    {
        return new self("“{$given}” has two dots in a row, or begins with one: a label between them is missing.");
    }

    public static function address(string $given): self
    {
        return new self("“{$given}” is an IP address, not a domain name.");
    }

    public static function mailbox(string $given): self
    {
        return new self("“{$given}” is a mailbox, not a domain name.");
    }

    public static function label(string $label, string $why): self
    {
        return new self("The label “{$label}” {$why}");
    }

    /** @param  int  $octets  length with dots, without a trailing one */
    public static function tooLong(int $octets): self
    {
        return new self("The name has {$octets} characters in the form that DNS carries; 253 is the most.");
    }
}
