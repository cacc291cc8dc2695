<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Contact\Verification;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Movement\Account;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;

/** A name that is on the Roll, held or watched. */
abstract readonly class RollCase extends CaseFile
{
    /**
     * @param  string  $registrant  how its registrant is called; '': not known
     * @param  list<string>  $servers  ASCII host names
     * @param  list<int>  $words  ids of the labels that people gave it
     */
    public function __construct(
        public int $nameId,
        NameFacts $facts,
        LateTerms $late,
        public int $clientId,
        public string $clientName,
        public string $registrant,
        public array $servers,
        public array $words,
    ) {
        parent::__construct($facts, $late);
    }

    /** Null: it is in none of our accounts. */
    abstract public function account(): ?Account;

    abstract public function registrarName(): string;

    /** Where the verification of its registrant's mailbox stands; null: nobody is recorded. */
    abstract public function verification(Lifecycle $life): ?Verification;

    abstract public function standing(Rulebook $book, Instant $now): Standing;

    /**
     * What is to be known of who stands behind it.
     *
     * @return list<Finding> dearest first
     */
    abstract public function behind(Lifecycle $life): array;
}
