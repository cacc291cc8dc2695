<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;
use DateTimeImmutable;

/** RFC 9083 §4.5: what happened or will, such as `registration`, `expiration`, `last changed`, `transfer`. */
final readonly class RdapEvent
{
    private function __construct(public string $action, public DateTimeImmutable $at, public ?string $actor)
    {
    }

    /** @return list<self> */
    public static function allOf(JsonNode $node): array
    {
        return array_map(fn (JsonNode $event): self => new self(strtolower($event->text('eventAction')), $event->time('eventDate'), $event->textOrNull('eventActor')), $node->nodes('events'));
    }
}
