<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;

/** A privacy service that was bought with a name: as long as it runs its data is read instead of the holder's, and once it ends the record shows them. */
final readonly class Privacy
{
    /** Days before its end from which that is told: the house's own choice. */
    private const TOLD = 30;

    /**
     * @param  Instant|null  $ends  null: not written down
     * @param  bool  $renews  whether it goes on by itself
     */
    public function __construct(public ?Instant $ends, public bool $renews)
    {
    }

    public function isOverAt(Instant $now): bool
    {
        return ! $this->renews && $this->ends?->hasComeAt($now) === true;
    }

    /** @return list<Finding> */
    public function findings(Instant $now): array
    {
        if ($this->ends === null || $this->renews) {
            return [];
        }

        return match (true) {
            $this->isOverAt($now) => [Finding::of(DisclosureFinding::PrivacyOver, ended: $this->ends)],
            $this->ends->plusDays(-self::TOLD)->hasComeAt($now) => [Finding::of(DisclosureFinding::PrivacyEnds, until: $this->ends)],
            default => [],
        };
    }

    /** When something else is to be said of it, if no fact changes first; null: never. */
    public function until(Instant $now): ?Instant
    {
        $told = $this->ends?->plusDays(-self::TOLD);

        return $this->renews || $this->ends === null || $told === null || $this->isOverAt($now) ? null : ($told->hasComeAt($now) ? $this->ends : $told);
    }
}
