<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/** What the next date of a name is about. */
enum NextKind: string
{
    case Charge = 'charge';
    case ChargeUnconfirmed = 'charge_unconfirmed';
    case Ends = 'ends';
    case AskClient = 'ask_client';
    case Lapses = 'lapses';
    case Presumed = 'presumed';
    /** Its registry says so, and nobody has taken it over. */
    case Renewed = 'renewed';
    case LatePlain = 'late_plain';
    case LateDear = 'late_dear';
    case Suspended = 'suspended';
    case Redemption = 'redemption';
    case PendingDelete = 'pending_delete';
    case Released = 'released';
    case Handover = 'handover';
    case NotKnown = 'not_known';
    /** It is somebody else's, and only looked at. */
    case Watched = 'watched';
}
