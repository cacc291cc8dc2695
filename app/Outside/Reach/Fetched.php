<?php

declare(strict_types=1);

namespace App\Outside\Reach;

final readonly class Fetched
{
    public function __construct(public int $status, public string $body, public ?int $retryAfter, public ?string $location)
    {
    }
}
