<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;

/** RFC 9537 §4.2: one thing that the directory holds and does not show, so that it is told apart from what nobody has. */
final readonly class RdapRedaction
{
    /** @param  string|null  $path  a JSONPath of what is redacted, where the directory says one */
    private function __construct(public string $name, public RdapRedactionMethod $method, public ?string $path, public ?string $reason)
    {
    }

    /** @return list<self> */
    public static function allOf(JsonNode $node): array
    {
        return array_map(function (JsonNode $redacted): self {
            $name = $redacted->nodeOrNull('name');
            $reason = $redacted->nodeOrNull('reason');

            return new self(
                $name?->textOrNull('description') ?? $name?->textOrNull('type') ?? '',
                RdapRedactionMethod::tryFrom($redacted->textOrNull('method') ?? '') ?? RdapRedactionMethod::Removal,
                $redacted->textOrNull('prePath') ?? $redacted->textOrNull('postPath') ?? $redacted->textOrNull('replacementPath'),
                $reason?->textOrNull('description') ?? $reason?->textOrNull('type'),
            );
        }, $node->nodes('redacted'));
    }
}
