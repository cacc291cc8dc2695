<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Rulebook\Publication;

/** What the record is to say of one field. */
final readonly class FieldPublished
{
    /**
     * @param  string|null  $value  what is held of it; null: nothing, so nothing can be read
     * @param  Publication  $rule  what the suffix does with it
     */
    public function __construct(public Disclosure $state, public ?string $value, public Publication $rule)
    {
    }

    /** Whether the world reads the value that we hold. */
    public function isRead(): bool
    {
        return $this->state === Disclosure::Shown && $this->value !== null;
    }
}
