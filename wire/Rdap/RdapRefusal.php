<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;

/** The body of an answer that says no (RFC 9083 §6): 404 for a name that it does not have, 429 for too many questions. */
final readonly class RdapRefusal
{
    private function __construct(public int $code, public string $title, public string $description)
    {
    }

    public static function of(JsonNode $node, int $code): self
    {
        return new self($code, $node->textOrNull('title') ?? '', implode(' ', $node->texts('description')));
    }
}
