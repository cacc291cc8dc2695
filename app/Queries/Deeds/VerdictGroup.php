<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Finding\Finding;

/** Names that the same thing stands in the way of. */
final readonly class VerdictGroup
{
    /** @param  Finding  $finding  that of its first name */
    public function __construct(public Finding $finding, public int $count, public bool $isLeftOut)
    {
    }
}
