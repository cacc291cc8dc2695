<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;

/** A name that is registered elsewhere and only looked at: as the outside shows it, why, and since when. */
final readonly class WatchedCase extends RollCase
{
    /**
     * @param  string  $registrar  where it is registered, as its registry says
     * @param  list<string>  $servers  ASCII host names
     * @param  list<int>  $words  ids of the labels that people gave it
     */
    public function __construct(
        int $nameId,
        NameFacts $facts,
        LateTerms $late,
        int $clientId,
        string $clientName,
        string $registrant,
        array $servers,
        array $words,
        public string $registrar,
        public string $why,
        public Instant $since,
    ) {
        parent::__construct($nameId, $facts, $late, $clientId, $clientName, $registrant, $servers, $words);
    }

    public function account(): null
    {
        return null;
    }

    public function verification(Lifecycle $life): null
    {
        return null;
    }

    public function registrarName(): string
    {
        return $this->registrar;
    }

    public function standing(Rulebook $book, Instant $now): Standing
    {
        return Standing::watched($this->life($book, $now), $this->why);
    }

    public function behind(Lifecycle $life): array
    {
        return [];
    }
}
