<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** What is asked (RFC 1035 §4.1.2), of class IN. */
final readonly class Question
{
    public function __construct(public Name $name, public int $type)
    {
    }

    public function equals(self $other): bool
    {
        return $this->type === $other->type && $this->name->equals($other->name);
    }
}
