<?php

declare(strict_types=1);

namespace App\Queries\Find;

/** One thing that answers to what was typed. */
final readonly class Found
{
    public function __construct(public string $title, public string $lesser, public string $address, public bool $isName = false)
    {
    }
}
