<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;

/** Why a losing registrar refuses, or may: nothing else is a reason (ICANN Transfer Policy I.A.3.7, I.A.3.8; numbers from memory). */
enum Dispute: string
{
    /** A UDRP or URS case is pending. */
    case Proceeding = 'proceeding';
    case CourtOrder = 'court_order';
    case TransferDispute = 'transfer_dispute';
    case Fraud = 'fraud';
    case Identity = 'identity';
    /** An earlier term is not paid. */
    case Unpaid = 'unpaid';
    /** The holder objects in writing. */
    case Objection = 'objection';

    /** What it does to a transfer while it is open. */
    public function finding(): Finding
    {
        return $this->mustBeRefused()
            ? Finding::of(TransferFinding::MustBeRefused, Effect::Stops, null, reason: $this->value)
            : Finding::of(TransferFinding::MayBeRefused, Effect::NotKnown, null, reason: $this->value);
    }

    /** Whether it must be refused; the others only may be. */
    public function mustBeRefused(): bool
    {
        return in_array($this, [self::Proceeding, self::CourtOrder, self::TransferDispute], true);
    }
}
