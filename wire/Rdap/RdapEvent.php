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

    /** @return list<self> those that are whole */
    public static function allOf(JsonNode $node): array
    {
        $all = $node->each('events', function (JsonNode $event): ?self {
            $action = $event->textOrNull('eventAction');

            return $action !== null && $event->has('eventDate')
                ? new self(strtolower($action), $event->time('eventDate'), $event->textOrNull('eventActor'))
                : null;
        });

        return array_values(array_filter($all));
    }
}
