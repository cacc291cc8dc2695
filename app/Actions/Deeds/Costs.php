<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Queries\Names\HeldCase;

/** A deed that is paid for: what its page showed is what its lines keep, and where the price is another by then, it is asked again. */
interface Costs extends JudgesByStore
{
    /**
     * Of a name that was judged right before.
     *
     * @param  array<string, mixed>  $terms
     * @return LineCost|null null: its price is not known, or it costs nothing
     */
    public function costs(HeldCase $file, array $terms): ?LineCost;
}
