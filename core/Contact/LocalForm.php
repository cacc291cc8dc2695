<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** What a contact says of itself in its own script, beside the international form (RFC 5733 §2.4: `loc` beside `int`). */
final readonly class LocalForm
{
    public function __construct(public ?string $organisation, public ?string $person, public Address $address)
    {
    }

    public function equals(?self $other): bool
    {
        return $other !== null
            && [$this->organisation, $this->person] === [$other->organisation, $other->person]
            && $this->address->lines() === $other->address->lines();
    }
}
