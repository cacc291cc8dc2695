<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Time\Instant;

/** What answers for a name while it moves. */
final readonly class ServersKnown
{
    /** Days for which a kept copy of a zone counts as the one before a movement; the house's own choice. */
    private const FRESH = 7;

    /**
     * @param  bool|null  $areLosings  whether they are the losing registrar's own service, which may end; null: not known
     * @param  Instant|null  $zoneKept  when its zone was last kept; null: never
     * @param  bool|null  $isSigned  whether its registry has a DS; null: not known
     * @param  bool  $hasZoneThere  whether the gaining side's own name servers answer for it already
     */
    public function __construct(
        public ?bool $areLosings = null,
        public ?Instant $zoneKept = null,
        public ?bool $isSigned = null,
        public bool $hasZoneThere = false,
    ) {
    }

    public function isKept(Instant $now): bool
    {
        return $this->zoneKept !== null && ! $this->zoneKept->plusDays(self::FRESH)->isBefore($now);
    }
}
