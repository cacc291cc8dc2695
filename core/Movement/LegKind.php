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
    /** The registrar writes down another registrant. */
    case Registrant = 'registrant';

    /** Whether the step is taken on the giving side's pages. */
    public function isGiving(): bool
    {
        return match ($this) {
            self::UnlockAccount, self::LiftLock, self::Registrant, self::Offer, self::Confirm, self::LockAccount => true,
            self::Accept, self::SetLock, self::ConfirmPrior, self::ConfirmNew => false,
        };
    }

    /**
     * Whether it puts back what was switched off for the movement's own sake: open until that is seen or said, however the movement ends.
     */
    public function putsBack(): bool
    {
        return $this === self::SetLock || $this === self::LockAccount;
    }

    /** Whether it is somebody's yes, in answer to a letter: nothing that is done at a page. */
    public function isWord(): bool
    {
        return $this === self::ConfirmPrior || $this === self::ConfirmNew;
    }
}
