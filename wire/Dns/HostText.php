<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** The name of a host as a text. Labels may hold any byte (RFC 2181 §11). */
final class HostText
{
    /** In small letters without its last dot; what is no printable ASCII is written as zone files write it, `\255` (RFC 1035 §5.1). */
    public static function of(string $name): string
    {
        return (string) preg_replace_callback(
            '/[^\x21-\x7e]/',
            fn (array $byte): string => sprintf('\\%03d', ord($byte[0])),
            strtolower(rtrim($name, '.')),
        );
    }
}
