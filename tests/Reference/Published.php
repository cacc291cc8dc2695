<?php

declare(strict_types=1);

namespace Tests\Reference;

/** The published texts that `./acre test reference --all` keeps under var/. Tests that read them are of the group `published`. */
final class Published
{
    public static function rfc(int $number): string
    {
        $file = dirname(__DIR__, 2)."/var/published/RFC/links/rfc{$number}.txt.gz";

        return (string) file_get_contents('compress.zlib://'.$file);
    }
}
