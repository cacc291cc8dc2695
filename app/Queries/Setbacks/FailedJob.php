<?php

declare(strict_types=1);

namespace App\Queries\Setbacks;

/** A job of the queue that failed for good. */
final readonly class FailedJob
{
    /** @param  string  $failedAt  machine time */
    public function __construct(public string $uuid, public string $job, public string $error, public string $failedAt)
    {
    }
}
