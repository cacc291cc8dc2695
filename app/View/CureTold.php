<?php

declare(strict_types=1);

namespace App\View;

/** One cure, as a page says it. */
final readonly class CureTold
{
    /** @param  string|null  $address  null: it is not done here, and the words say where */
    public function __construct(public string $said, public ?string $address)
    {
    }
}
