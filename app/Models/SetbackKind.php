<?php

declare(strict_types=1);

namespace App\Models;

/** What could not be finished; its number is that of the table it stands in. */
enum SetbackKind: string
{
    /** Beginning or closing a docket. */
    case Docket = 'docket';
    case DocketLine = 'docket_line';
    /** What a receiver's answer starts; by the docket's number. */
    case Acceptance = 'acceptance';
    /** What a registrant's answer starts. */
    case Confirmation = 'confirmation';
    case Order = 'order';
    /** Of a registrar, that waited for an account. */
    case Message = 'message';
    case Letter = 'letter';
    /** Writing to a mailbox. */
    case Mailbox = 'mailbox';
    /** Asking the outside about a name; by the name's number. */
    case Look = 'look';
    case Import = 'import';
    /** Working out a name's standing; by the name's number. */
    case Standing = 'standing';
}
