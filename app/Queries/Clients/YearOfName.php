<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Renewal\KeepingFinding;
use Acre\Core\Time\Instant;

/** One name in a client's year. */
final readonly class YearOfName
{
    /**
     * @param  list<Money>  $spent  in the twelve months before, by currency, with our surcharge
     * @param  Money|null  $coming  in the twelve months to come, with our surcharge; null: nothing, or not known
     * @param  bool  $isDue  whether its term ends in the twelve months to come, or has ended
     * @param  list<Finding>  $reasons  for letting it go
     */
    public function __construct(
        public string $ascii,
        public string $unicode,
        public ?Instant $ends,
        public Intent $intent,
        public array $spent,
        public ?Money $coming,
        public bool $isDue,
        public array $reasons,
    ) {
    }

    /** Whether we advise to let it go. */
    public function isAdvised(): bool
    {
        foreach ($this->reasons as $reason) {
            if ($reason->tag instanceof KeepingFinding && $reason->tag->isAdvice()) {
                return true;
            }
        }

        return false;
    }
}
