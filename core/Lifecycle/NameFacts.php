<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Name\DomainName;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Time\Instant;

/** What is known of one registration; null is not known, never assumed. */
final readonly class NameFacts
{
    /**
     * @param  Instant|null  $ends  the end of the paid term
     * @param  Instant|null  $moved  when it last came from another registrar
     * @param  list<Status>  $statuses
     * @param  Instant|null  $missing  since when its registrar's whole list has been without it
     * @param  Instant|null  $registrantChanged  when its legal holder last became another one
     * @param  Instant|null  $deletedSince  since when it has stood in redemption, or pending delete, where its statuses prove that
     * @param  Instant|null  $seenUntil  the later end that was seen outside, and nobody has taken over
     * @param  bool|null  $seenPaid  whether it was seen to be paid for beyond the end recorded, as its registrar itself says, or its
     *     deletion; null: neither was seen
     * @param  bool  $isCalledOk  whether its registry said `ok` of it when it was last looked at (RFC 5731 §2.3: nothing is pending or
     *     prohibited)
     * @param  SeenOutside|null  $outside  null: nothing that was surely seen says otherwise of its statuses
     */
    public function __construct(
        public DomainName $name,
        public ?Instant $created = null,
        public ?Instant $ends = null,
        public ?Instant $moved = null,
        public array $statuses = [],
        public Lock $lock = Lock::NotKnown,
        public Intent $intent = Intent::WhenTold,
        public ?Instant $missing = null,
        public ?Instant $registrantChanged = null,
        public ?Instant $deletedSince = null,
        public ?Instant $seenUntil = null,
        public ?bool $seenPaid = null,
        public ?SeenOutside $outside = null,
        public bool $isCalledOk = false,
    ) {
    }

    /** @return list<Status> those recorded, put right by what was surely seen outside */
    public function today(): array
    {
        return $this->outside === null
            ? $this->statuses
            : [
                ...array_values(
                    array_filter($this->statuses, fn (Status $status): bool => ! in_array($status, $this->outside->lacks, true)),
                ),
                ...$this->outside->has,
            ];
    }

    /** The phase that they prove; null: none. */
    public function proven(): ?Phase
    {
        return match (true) {
            $this->outside?->isGone === true => Phase::Released,
            $this->outside === null && $this->statuses === [] => null,
            default => Status::proven($this->today()),
        };
    }

    /** Since when it is deleted, where its statuses prove that, and the day is known. */
    public function deleted(): ?Instant
    {
        return $this->outside->deletedSince ?? $this->deletedSince;
    }

    /** Whether our own books have it, whatever was seen. */
    public function isWritten(Status $status): bool
    {
        return in_array($status, $this->statuses, true);
    }

    public function has(Status ...$any): bool
    {
        foreach ($this->today() as $status) {
            if (in_array($status, $any, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Status> what its record says against its going to another registrar, the lock apart (RFC 5731 §2.3, RFC 3915 §3.1) */
    public function againstTransfer(): array
    {
        return array_values(
            array_filter(
                $this->today(),
                fn (Status $status): bool => in_array(
                    $status,
                    [
                        Status::ServerTransferProhibited,
                        Status::PendingTransfer,
                        Status::PendingDelete,
                        Status::PendingRestore,
                        Status::RedemptionPeriod,
                    ],
                    true,
                ),
            ),
        );
    }

    /** Whether its record takes no changes (RFC 5731 §2.3). */
    public function isUpdateProhibited(): bool
    {
        return $this->has(Status::ClientUpdateProhibited, Status::ServerUpdateProhibited);
    }

    public function isLocked(): bool
    {
        return $this->lock === Lock::On || $this->has(Status::ClientTransferProhibited);
    }
}
