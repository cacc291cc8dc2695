<?php

declare(strict_types=1);

namespace Acre\Core\Title;

/** All of a proof but its place in the chain, so that nobody waits while it is drafted. */
final readonly class ProofDraft
{
    /**
     * @param  string  $first  its first line
     * @param  string  $body  what it tells, lines with line feeds between
     */
    public function __construct(private string $first, private string $body)
    {
    }

    /** @param  string|null  $previous  SHA-256 of the proof made before this one; null: this is the house's first */
    public function at(int $position, ?string $previous): Proof
    {
        return Proof::ofText("{$this->first}\nproof: {$position}\n{$this->body}\n\nprevious proof: ".($previous ?? 'none')."\n");
    }
}
