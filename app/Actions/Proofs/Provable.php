<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use Acre\Core\Title\ProofDraft;

/** Something that has ended and whose proof stands in the chain; made again, it must say the same. */
interface Provable
{
    /** @param  int  $id  of a row that has ended */
    public function draft(int $id): ProofDraft;
}
