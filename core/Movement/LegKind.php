<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** One step of a movement. */
enum LegKind: string
{
    /** The giving account itself is unlocked (a second step, a date of birth …). */
    case UnlockAccount = 'unlock_account';
    case LiftLock = 'lift_lock';
    /** The names are offered to the receiving account. */
    case Offer = 'offer';
    /** The giving side confirms what it offered. */
    case Confirm = 'confirm';
    case Accept = 'accept';
    /** The giving account is locked again, however it ends: nobody outside shows whether it is, so somebody says so. */
    case LockAccount = 'lock_account';
    case SetLock = 'set_lock';
    /** Who is the registrant until then says yes, in answer to a letter. */
    case ConfirmPrior = 'confirm_prior';
    case ConfirmNew = 'confirm_new';
    /** The registrar records another registrant. */
    case Registrant = 'registrant';
    /** Auto-renew is turned off at the losing registrar, so that nothing is charged on the way. */
    case RenewOff = 'renew_off';
    /** The auth code is in hand, and fits. */
    case Code = 'code';
    /** The code is given to whoever has the name transferred elsewhere. */
    case HandOut = 'hand_out';
    /** The losing side sets the gaining registrar's tag. */
    case Tag = 'tag';
    /** The transfer is ordered and paid at the gaining registrar. */
    case Order = 'order';
    /** The losing registrar answers, or its time to answer passes. */
    case Answer = 'answer';
    case Arrive = 'arrive';
    /** The registrant's mailbox is verified at the gaining registrar. */
    case Verify = 'verify';
    case RenewOn = 'renew_on';
    /** End, name servers and zone are what they were to be. */
    case Compare = 'compare';

    /** Whether the step is taken on the giving side's pages. */
    public function isGiving(): bool
    {
        return match ($this) {
            self::UnlockAccount,
            self::LiftLock,
            self::Registrant,
            self::Offer,
            self::Confirm,
            self::LockAccount,
            self::RenewOff,
            self::Code,
            self::HandOut,
            self::Tag,
            self::Answer => true,
            default => false,
        };
    }

    /** Whether it comes once the name is there, or back: open until it is seen or said. */
    public function comesAfter(): bool
    {
        return in_array($this, [self::SetLock, self::LockAccount, self::Verify, self::RenewOn, self::Compare], true);
    }

    /** Whether it is somebody's yes, in answer to a letter: nothing that is done at a page. */
    public function isWord(): bool
    {
        return $this === self::ConfirmPrior || $this === self::ConfirmNew;
    }
}
