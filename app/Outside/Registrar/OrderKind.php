<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

/** What a registrar can be told to do with a name. */
enum OrderKind: string
{
    case HandOver = 'hand_over';
    case CancelHandover = 'cancel_handover';
    case LockOn = 'lock_on';
    case LockOff = 'lock_off';
    case AutoRenewOn = 'auto_renew_on';
    case AutoRenewOff = 'auto_renew_off';
    case AuthCode = 'auth_code';
    /** The name servers that it is to have, and no others. */
    case Servers = 'servers';
    /** The DS records that it is to have, and no others; none turns DNSSEC off. */
    case Keys = 'keys';
    /** Records of its zone, where the registrar keeps that; by bridge alone, as EPP knows no zones. */
    case Records = 'records';
    /** Which fields of the holder may be shown; all others are withheld. */
    case Disclose = 'disclose';
    /** It comes from another registrar: asked for with its code, by the side where it is to be. */
    case Transfer = 'transfer';
    case CancelTransfer = 'cancel_transfer';
    /** The losing side says yes at once, and not by silence. */
    case ApproveTransfer = 'approve_transfer';
    case RefuseTransfer = 'refuse_transfer';
    /** It runs some years longer. */
    case Renew = 'renew';
    /** It is deleted and taken back, with the report that its registry wants (RFC 3915). */
    case Restore = 'restore';
    /** Another legal holder, or another version of the same one's data. */
    case Registrant = 'registrant';

    /** Whether it switches what may stand so already. */
    public function isSwitch(): bool
    {
        return in_array($this, [self::LockOn, self::LockOff, self::AutoRenewOn, self::AutoRenewOff, self::Servers, self::Keys], true);
    }

    /** Whether a registrar can be told to take it back while it is under way; the rest has been, or will be, carried out. */
    public function canBeTakenBack(): bool
    {
        return $this->takenBackBy() !== null;
    }

    /** What takes it back; null: nothing does. */
    public function takenBackBy(): ?self
    {
        return match ($this) {
            self::HandOver => self::CancelHandover,
            self::Transfer => self::CancelTransfer,
            default => null,
        };
    }
}
