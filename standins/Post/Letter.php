<?php

declare(strict_types=1);

namespace Standin\Post;

/** A letter that lies in a mailbox. */
final readonly class Letter
{
    /** @param  string  $from  the sender on the envelope; empty on what came back */
    public function __construct(public int $id, public string $mailbox, public string $from, public int $at, public string $raw)
    {
    }
}
