<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Time\Instant;

/** What our own books say of a name, as far as a record can say otherwise. */
final readonly class Held
{
    /**
     * @param  list<string>  $servers  empty: not recorded
     * @param  string  $registrar  the shop that we pay
     * @param  list<string>  $behind  the accredited registrars and tags that stand behind that shop
     * @param  bool  $isMoving  whether a movement of ours is under way
     * @param  array<string, Instant>  $writtenAt  when each fact was last recorded, by its column, where that is known
     * @param  PublishedRecord|null  $published  what is to be read of its holder; null: who that is, is not known
     * @param  int  $leastMonths  for which its registry renews at least, and by itself
     * @param  bool  $isTold  whether it is known what the registrar was told to show
     */
    public function __construct(
        public NameFacts $facts,
        public array $servers,
        public string $registrar,
        public array $behind,
        public bool $isMoving,
        public array $writtenAt = [],
        public ?PublishedRecord $published = null,
        public bool $isTold = false,
        public int $leastMonths = 12,
    ) {
    }

    /** Whether one of these words means the shop or what stands behind it. */
    public function isBehind(?string ...$words): bool
    {
        $known = array_map(mb_strtolower(...), [$this->registrar, ...$this->behind]);
        foreach ($words as $word) {
            if ($word !== null && in_array(mb_strtolower($word), $known, true)) {
                return true;
            }
        }

        return false;
    }
}
