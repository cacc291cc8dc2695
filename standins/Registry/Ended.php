<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** A transfer that is over, as it can still be asked for. */
final readonly class Ended
{
    /** @param  string  $state  of RFC 5731 §3.1.3 */
    public function __construct(public string $to, public int $asked, public int $at, public string $state)
    {
    }

    public static function of(?JsonNode $node): ?self
    {
        return $node === null
            ? null
            : new self($node->text('to'), $node->intOrNull('asked') ?? 0, $node->intOrNull('at') ?? 0, $node->text('state'));
    }
}
