<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Instant;

/** What became of one name of a docket. */
final readonly class ProofLine
{
    /**
     * @param  string  $result  `done`, `refused`, `stopped` or `called off`
     * @param  Instant|null  $on  when, for a line that was done
     */
    public function __construct(
        public string $name,
        public string $result,
        public ?Instant $on,
        public string $before,
        public string $after,
        public string $reason,
    ) {
    }
}
