<?php

declare(strict_types=1);

namespace App\Outside\Post;

final readonly class Sent
{
    /**
     * @param  string  $words  the post's, or why it was not reached
     * @param  bool  $isReached  false: nothing was said of this letter, and the next would fare no better
     */
    public function __construct(public DeliveryOutcome $fate, public string $words, public bool $isReached = true)
    {
    }
}
