<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** What a record can say of the holder, in the order in which it is read. */
enum Field: string
{
    case Name = 'name';
    case Organisation = 'organisation';
    case Street = 'street';
    case Town = 'town';
    case Region = 'region';
    case Postcode = 'postcode';
    case Country = 'country';
    case Voice = 'voice';
    case Mailbox = 'mailbox';

    /** As directories name what they redact (RFC 9537 §4.2 leaves the words open; these are those of the gTLD response profile). */
    public static function ofRedaction(string $words): ?self
    {
        $words = strtolower(trim($words));
        if (! str_starts_with($words, 'registrant')) {
            return null;
        }

        return match (trim(substr($words, 10))) {
            'name' => self::Name,
            'organization', 'organisation' => self::Organisation,
            'street' => self::Street,
            'city' => self::Town,
            'state/province', 'state' => self::Region,
            'postal code' => self::Postcode,
            'country' => self::Country,
            'phone' => self::Voice,
            'email' => self::Mailbox,
            default => null,
        };
    }
}
