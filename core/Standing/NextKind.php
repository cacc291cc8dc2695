<?php

declare(strict_types=1);

namespace Acre\Core\Standing;

/** What the next date of a name is about. */
enum NextKind: string
{
    case Charge = 'charge';
    case ChargeUnconfirmed = 'charge_unconfirmed';
    case Ends = 'ends';
    case AskClient = 'ask_client';
    /** The day by which the client was to say has passed. */
    case AskedTooLate = 'asked_too_late';
    case Lapses = 'lapses';
    /** Past its end, as was meant, and still to be kept by somebody who changes their mind. */
    case Lapsing = 'lapsing';
    case Presumed = 'presumed';
    /** Its registry says so, and nobody has taken it over. */
    case Renewed = 'renewed';
    case LatePlain = 'late_plain';
    case LateDear = 'late_dear';
    case Suspended = 'suspended';
    case Redemption = 'redemption';
    case PendingDelete = 'pending_delete';
    case Released = 'released';
    /** Its registry no longer has it. */
    case Gone = 'gone';
    case Handover = 'handover';
    case NotKnown = 'not_known';
    /** It is somebody else's, and only looked at. */
    case Watched = 'watched';
}
