<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Dnssec\DelegatesBefore;
use Acre\Core\Time\Instant;

/**
 * A change of name servers through which DNSSEC can't last, because old and new have no key in common: it is turned off, the name moves
 * unsigned, and it is turned on again, with the waits between (RFC 6781 §4.3.5.2; the DS goes first, so that the name never goes dark).
 */
final readonly class KeysPlan
{
    /**
     * @param  Instant|null  $off  when the DS can be removed; null: it is gone
     * @param  Instant  $change  from when the name servers can be changed; until then the present host must go on signing
     * @param  Instant|null  $on  from when the new DS can be entered; null: the new name servers don't sign
     */
    private function __construct(public ?Instant $off, public Instant $change, public ?Instant $on)
    {
    }

    /**
     * @param  bool  $isThere  whether the registry still has a DS
     * @param  int|null  $ttl  seconds for which the DS that it has may be kept; null: not known
     * @param  DelegatesBefore|null  $before  those that are gone; null: there were none
     * @param  array{parent: int|null, zone: int|null, record: int}  $spans  seconds, as `Propagation::of` takes them
     * @param  bool  $isSigned  whether the new name servers sign
     */
    public static function of(
        bool $isThere,
        ?int $ttl,
        ?DelegatesBefore $before,
        array $spans,
        bool $isSigned,
        Instant $now,
    ): self {
        $change = $isThere ? $now->plusSeconds($ttl ?? DelegatesBefore::LONGEST) : $now;
        $kept = $before?->keptUntil();
        if ($kept !== null && $change->isBefore($kept)) {
            $change = $kept;
        }

        return new self(
            $isThere ? $now : null,
            $change,
            // Answers of the old host, signed with its keys or not at all, must have died.
            $isSigned ? Propagation::of(...$spans, from: $change)->answersUntil : null,
        );
    }
}
