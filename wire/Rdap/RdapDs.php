<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonNode;
use Stringable;

/** One delegation signer that the registry has (RFC 9083 §5.3, RFC 4034 §5.1). */
final readonly class RdapDs implements Stringable
{
    private function __construct(public int $keyTag, public int $algorithm, public int $digestType, public string $digest)
    {
    }

    /** As zone files write it (RFC 4034 §5.3). */
    public function __toString(): string
    {
        return "{$this->keyTag} {$this->algorithm} {$this->digestType} {$this->digest}";
    }

    /** @return list<self> those that are whole */
    public static function allOf(JsonNode $secure): array
    {
        $all = [];
        foreach ($secure->nodes('dsData') as $ds) {
            [$tag, $algorithm, $type, $digest] = [
                $ds->intOrNull('keyTag'),
                $ds->intOrNull('algorithm'),
                $ds->intOrNull('digestType'),
                $ds->textOrNull('digest'),
            ];
            if ($tag !== null && $algorithm !== null && $type !== null && $digest !== null) {
                $all[] = new self($tag, $algorithm, $type, strtoupper($digest));
            }
        }

        return $all;
    }
}
