<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Finding\Finding;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;

/**
 * A privacy service that was bought with a name: as long as it runs its data is read instead of the holder's, and once it ends the record
 * shows them.
 */
final readonly class Privacy
{
    /** Days before its end from which that is told: the house's own choice. */
    private const TOLD = 30;

    /**
     * @param  Instant|null  $ends  null: not recorded
     * @param  bool  $renews  whether it goes on by itself
     */
    public function __construct(public ?Instant $ends, public bool $renews)
    {
    }

    public function isOverAt(Instant $now): bool
    {
        return ! $this->renews && $this->ends?->hasComeAt($now) === true;
    }

    /**
     * @param  MovesBy  $moves  how names of its suffix go to another registrar
     * @return list<Finding>
     */
    public function findings(Instant $now, MovesBy $moves): array
    {
        if ($this->isOverAt($now)) {
            return $this->ends === null ? [] : [Finding::of(DisclosureFinding::PrivacyOver, ended: $this->ends)];
        }
        $isTold = ! $this->renews && $this->ends?->plusDays(-self::TOLD)->hasComeAt($now) === true;

        return [
            ...$this->ends !== null && $isTold ? [Finding::of(DisclosureFinding::PrivacyEnds, until: $this->ends)] : [],
            // Where the losing side sets a tag nobody writes to the holder.
            ...$moves === MovesBy::Tag ? [] : [Finding::of(DisclosureFinding::MoveMailedThrough)],
        ];
    }

    /** When something else is to be said of it, if no fact changes first; null: never. */
    public function until(Instant $now): ?Instant
    {
        $told = $this->ends?->plusDays(-self::TOLD);

        return $this->renews || $this->ends === null || $told === null || $this->isOverAt($now)
            ? null
            : ($told->hasComeAt($now)
                ? $this->ends
                : $told);
    }
}
