<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;

/** RFC 9083 §4.2. Where it leads is what the directory says, and not yet an address that anybody should follow. */
final readonly class RdapLink
{
    private function __construct(public string $href, public ?string $rel, public ?string $type)
    {
    }

    /** @return list<self> */
    public static function allOf(JsonNode $node): array
    {
        $links = [];
        foreach ($node->nodes('links') as $link) {
            $href = $link->textOrNull('href');
            if ($href !== null) {
                $links[] = new self($href, $link->textOrNull('rel'), $link->textOrNull('type'));
            }
        }

        return $links;
    }
}
