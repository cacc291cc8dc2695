<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use Acre\Core\Title\Proof as CoreProof;

/** Something that has ended and whose proof stands in the chain; made again, it must say the same. */
interface Provable
{
    /**
     * @param  int  $id  of a row that has ended
     * @param  string|null  $previous  SHA-256 of the proof made before this one; null: this is the first
     */
    public function make(int $id, int $position, ?string $previous): CoreProof;
}
