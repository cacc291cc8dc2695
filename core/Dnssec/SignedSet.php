<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Time\Instant;

/** A set of records with all its signatures. */
final readonly class SignedSet
{
    /** As with keys of one tag: more are there only to cost time. Two keys of each of several algorithms are fewer. */
    private const MOST_SIGNATURES = 16;

    /** @param  list<Signature>  $signatures */
    public function __construct(public RecordSet $set, public array $signatures)
    {
    }

    /**
     * One good signature is enough (RFC 4035 §5.3.3).
     *
     * @param  list<Key>  $keys
     * @return Instant|SignatureFault the last instant at which one holds, or why none does
     */
    public function check(string $zone, array $keys, Instant $now): Instant|SignatureFault
    {
        $until = $fault = null;
        foreach (array_slice($this->signatures, 0, self::MOST_SIGNATURES) as $signature) {
            $wrong = $signature->check($this->set, $zone, $keys, $now);
            if ($wrong !== null) {
                $fault ??= $wrong;
            } elseif ($until === null || $signature->expires($now)->epoch > $until->epoch) {
                $until = $signature->expires($now);
            }
        }

        return $until ?? $fault ?? SignatureFault::Missing;
    }
}
