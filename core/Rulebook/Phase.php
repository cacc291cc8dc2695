<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** Where a name stands in its life. */
enum Phase: string
{
    /** The paid term runs. */
    case InTerm = 'in_term';
    /** Past its end, and renewable as before (RFC 3915's autoRenewPeriod at gTLDs). */
    case Grace = 'grace';
    /** Past its end and switched off, and still renewable. */
    case Suspended = 'suspended';
    /** Deleted, and only to be restored (RFC 3915's redemptionPeriod). */
    case Redemption = 'redemption';
    /** Deleted, and kept for its former holder for a time. */
    case Quarantine = 'quarantine';
    /** Nobody can do anything any more (RFC 5731's pendingDelete). */
    case PendingDelete = 'pending_delete';
    /** Free for anybody. */
    case Released = 'released';
    /** Its end is not known. */
    case NotKnown = 'not_known';

    /** Whether somebody has deleted it: the days that are left count from then. */
    public function isDeleted(): bool
    {
        return $this === self::Redemption || $this === self::PendingDelete;
    }

    public function isLate(): bool
    {
        return match ($this) {
            self::Grace, self::Suspended, self::Redemption, self::Quarantine, self::PendingDelete, self::Released => true,
            self::InTerm, self::NotKnown => false,
        };
    }
}
