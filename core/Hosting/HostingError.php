<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use InvalidArgumentException;

/** Why what was typed is no address of a page or of a machine; the message is for the person who typed it. */
final class HostingError extends InvalidArgumentException
{
    public static function notWeb(string $given): self
    {
        return new self("“{$given}” is no web address: it begins with https:// or http://, and a host follows.");
    }

    public static function credentials(string $given): self
    {
        return new self("“{$given}” has a name or a password before its host; everybody who follows it could read them.");
    }

    public static function hostless(string $given, string $reason): self
    {
        return new self("“{$given}” leads nowhere. {$reason}");
    }

    public static function tooLong(int $length, int $most): self
    {
        return new self("A web address of {$length} characters is too long: {$most} at most.");
    }

    public static function notAnAddress(string $given): self
    {
        return new self("“{$given}” is no IP address, such as 192.0.2.80 or 2001:db8::80.");
    }
}
