<?php

declare(strict_types=1);

namespace Acre\Wire\Card;

/** What a vCard (RFC 6350) says of one contact; null or empty: nothing. */
final readonly class ContactCard
{
    /**
     * @param  string|null  $kind  `individual`, `org` or another word of KIND
     * @param  list<string>  $street
     * @param  string|null  $country  as the card writes it
     */
    public function __construct(
        public ?string $kind = null,
        public ?string $organisation = null,
        public ?string $person = null,
        public array $street = [],
        public ?string $town = null,
        public ?string $region = null,
        public ?string $postcode = null,
        public ?string $country = null,
        public ?string $voice = null,
        public ?string $mailbox = null,
    ) {
    }
}
