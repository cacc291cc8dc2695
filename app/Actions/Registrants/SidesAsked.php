<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Time\Instant;

/** Whose yes a line waits for, and who has said it already. */
final readonly class SidesAsked
{
    /**
     * @param  array<string, int>  $words  the confirmation that a leg waits for, by its kind
     * @param  array<string, Instant>  $done  when a leg was taken, by its kind
     */
    public function __construct(public array $words, public array $done)
    {
    }

    public function wait(): bool
    {
        return count($this->words) > count($this->done);
    }
}
