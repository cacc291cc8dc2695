<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** What a contact is to a name (RFC 5731 §2, and the registrant apart). */
enum RoleKind: string
{
    case Registrant = 'registrant';
    case Administrative = 'administrative';
    case Technical = 'technical';
    case Billing = 'billing';
}
