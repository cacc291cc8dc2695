<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;

/** Everything that the core asks about one name, gathered from the tables. It is held, only watched, or neither. */
abstract readonly class CaseFile
{
    public function __construct(public NameFacts $facts, public LateTerms $late)
    {
    }

    public function life(Rulebook $book, Instant $now): Lifecycle
    {
        return Lifecycle::of($this->facts, $this->late, $book->for($this->facts->name->suffix(), $now), $now);
    }
}
