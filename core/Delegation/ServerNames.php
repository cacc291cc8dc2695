<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;

/** The host names of a delegation, as people and exports write them down. */
final class ServerNames
{
    /**
     * @param  string  $text  hosts with blanks, commas, semicolons or bars between
     * @return list<string> A-labels in lower case, each once, in the order given
     *
     * @throws NameError when one can't be a host
     */
    public static function read(string $text): array
    {
        $parts = preg_split('/[\s,;|]+/u', $text, -1, PREG_SPLIT_NO_EMPTY);
        $hosts = array_map(fn (string $part): string => DomainName::of($part)->ascii, $parts === false ? [] : $parts);

        return array_values(array_unique($hosts));
    }
}
