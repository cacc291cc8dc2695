<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Time\Instant;

/**
 * One edition of one rule of a suffix.
 *
 * @template-covariant T of int|bool|MovesBy|RegistrantConfirms|Roles|Published|list<EndPhase>
 */
final readonly class Rule
{
    /** @param  T  $value */
    public function __construct(
        public int|bool|MovesBy|RegistrantConfirms|Roles|Published|array $value,
        public Mark $mark,
        public string $source,
        public Instant $from,
    ) {
    }
}
