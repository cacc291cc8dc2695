<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/**
 * Whether the host of a mailbox takes mail at all, as DNS says: an MX, or else an address (RFC 5321 §5.1); a null MX says no (RFC 7505).
 */
enum TakesMail: string
{
    case Yes = 'yes';
    case No = 'no';
    case Unknown = 'unknown';
}
