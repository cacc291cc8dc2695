<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;

/** RFC 9083 §4.3: what a directory tells whoever asks, or notes of an object. */
final class RdapNotice
{
    /** @return list<string> title and text of each */
    public static function texts(JsonNode $node, string $member): array
    {
        return array_map(
            fn (JsonNode $notice): string => trim(
                ($notice->textOrNull('title') ?? '').': '.implode(' ', $notice->texts('description')),
                ': ',
            ),
            $node->nodes($member),
        );
    }
}
