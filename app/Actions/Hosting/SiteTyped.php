<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

/** A host of a name on the Roll, as somebody wrote it into a list, and the folder that has its pages. */
final readonly class SiteTyped
{
    /** @param  string  $label  what stands before the name; empty: nothing */
    public function __construct(public int $nameId, public string $label, public string $folder)
    {
    }
}
