<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Queries\Names\HeldCase;

/** A deed whose verdicts need more than the case file, read at once for many names. */
interface JudgesByStore extends Deed
{
    /**
     * Right before they are judged.
     *
     * @param  list<HeldCase>  $files
     * @param  array<string, mixed>  $terms
     */
    public function beforeJudging(array $files, array $terms): void;
}
