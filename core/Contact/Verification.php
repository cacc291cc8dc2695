<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Time\Instant;

/**
 * Whether a name's registrant must still show that their mailbox is theirs: within so many days of a registration, a transfer
 * in, or a change of name, organisation or mailbox (ICANN RAA 2013, accuracy specification 1); otherwise the name is
 * switched off. It belongs to the mailbox: one answer serves every name that carries it.
 */
final readonly class Verification
{
    /** Days after a deadline for which a silence is still told; later the name would long have been seen dark. */
    private const TOLD = 30;

    private function __construct(
        public Instant $now,
        public VerificationState $state,
        public ?VerificationCause $cause = null,
        public ?Instant $by = null,
    ) {
    }

    /**
     * @param  int  $days  of the suffix's rule; 0: there is none
     * @param  Instant|null  $verified  when the mailbox was last verified
     */
    public static function of(?Instant $created, ?Instant $moved, ?Instant $changed, ?Instant $verified, int $days, Instant $now): self
    {
        if ($verified !== null) {
            return new self($now, VerificationState::Verified);
        }
        $cause = $last = null;
        foreach (
            [
                VerificationCause::Registered->value => $created,
                VerificationCause::Moved->value => $moved,
                VerificationCause::Changed->value => $changed,
            ] as $which => $at
        ) {
            // The first that is not over asks; what happens meanwhile doesn't put the day off.
            if (
                $days > 0 &&
                $at !== null &&
                $at->hasComeAt($now) &&
                $at
                    ->toDay()
                    ->plusDays($days + self::TOLD)
                    ->isAfter($now) &&
                ($last === null || $at->isBefore($last))
            ) {
                [$cause, $last] = [VerificationCause::from($which), $at];
            }
        }
        if ($last === null) {
            return new self($now, VerificationState::NotAsked);
        }
        $by = $last->toDay()->plusDays($days);

        return new self($now, $by->hasComeAt($now) ? VerificationState::Lapsed : VerificationState::Open, $cause, $by);
    }

    /** When it will be another one if no fact changes first; null: never. */
    public function until(): ?Instant
    {
        return match ($this->state) {
            VerificationState::Open => $this->by,
            VerificationState::Lapsed => $this->by?->plusDays(self::TOLD),
            default => null,
        };
    }

    public function isDue(): bool
    {
        return $this->state === VerificationState::Open || $this->state === VerificationState::Lapsed;
    }
}
