<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is in the way of a handover, or worth knowing before it. */
enum MovementFinding: string implements FindingTag
{
    case UnderWay = 'under_way';
    case OtherRegistrar = 'other_registrar';
    case AlreadyThere = 'already_there';
    case NoAccess = 'no_access';
    case ReceiverLacks = 'receiver_lacks';
    case ReceiverUnproven = 'receiver_unproven';
    case ReceiverUnprovenAlone = 'receiver_unproven_alone';
    case ReceiverIsAsked = 'receiver_is_asked';
    case PastEnd = 'past_end';
    case InRedemption = 'in_redemption';
    case GoneForGood = 'gone_for_good';
    case MaybeRenewed = 'maybe_renewed';
    case EndNotKnown = 'end_not_known';
    case EndsToday = 'ends_today';
    case AcceptBeforeEnd = 'accept_before_end';
    case MeantToLapse = 'meant_to_lapse';
    case TransferPending = 'transfer_pending';
    case HeldAtRegistrar = 'held_at_registrar';
    case LockLifted = 'lock_lifted';
    case LockNotKnown = 'lock_not_known';
    case AccountUnlocked = 'account_unlocked';
    case ChargedMeanwhile = 'charged_meanwhile';
    case ExtraEnds = 'extra_ends';
    case ExtraStays = 'extra_stays';
    case ExtraNotKnown = 'extra_not_known';
    case MailboxInside = 'mailbox_inside';

    public static function area(): string
    {
        return 'movement';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::UnderWay => ['docket', 'by'],
            self::OtherRegistrar => ['held', 'asked'],
            self::AlreadyThere, self::NoAccess => ['account'],
            self::ReceiverLacks => ['registrar', 'identifier'],
            self::ReceiverUnproven, self::ReceiverUnprovenAlone => ['registrar'],
            self::PastEnd, self::MaybeRenewed => ['ended'],
            self::InRedemption, self::HeldAtRegistrar => ['until'],
            self::GoneForGood, self::EndNotKnown, self::TransferPending, self::LockLifted, self::LockNotKnown, self::AccountUnlocked => [],
            self::EndsToday, self::MeantToLapse => ['ends'],
            self::AcceptBeforeEnd => ['ends', 'by'],
            self::ChargedMeanwhile => ['at', 'account'],
            self::ExtraEnds, self::ExtraStays, self::ExtraNotKnown => ['extra'],
            self::MailboxInside, self::ReceiverIsAsked => ['mailbox'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::ReceiverUnprovenAlone, self::InRedemption, self::GoneForGood => Cost::NameLost,
            self::PastEnd,
            self::EndsToday,
            self::AcceptBeforeEnd,
            self::MeantToLapse,
            self::MailboxInside,
            self::ExtraEnds,
            self::MaybeRenewed => Cost::Dark,
            self::UnderWay,
            self::OtherRegistrar,
            self::AlreadyThere,
            self::NoAccess,
            self::ReceiverLacks,
            self::EndNotKnown,
            self::TransferPending,
            self::HeldAtRegistrar,
            self::ReceiverUnproven => Cost::MovementFails,
            self::ChargedMeanwhile, self::ExtraStays => Cost::Money,
            self::LockLifted, self::LockNotKnown, self::AccountUnlocked, self::ExtraNotKnown, self::ReceiverIsAsked => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::ReceiverLacks,
            self::ReceiverUnproven,
            self::ReceiverUnprovenAlone,
            self::AcceptBeforeEnd,
            self::MailboxInside,
            self::ReceiverIsAsked => Actor::Receiver,
            self::NoAccess => Actor::Giver,
            self::TransferPending => Actor::Registrar,
            self::HeldAtRegistrar => Actor::Time,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::UnderWay => Cure::SeeDocket,
            self::OtherRegistrar => Cure::MoveRegistrar,
            self::AlreadyThere => Cure::LeaveOut,
            self::NoAccess => Cure::GainAccess,
            self::ReceiverLacks, self::ReceiverUnproven, self::ReceiverUnprovenAlone => Cure::AskReceiver,
            self::PastEnd, self::EndsToday, self::AcceptBeforeEnd => Cure::RenewFirst,
            self::MeantToLapse => Cure::ChangeIntent,
            self::InRedemption => Cure::RestoreFirst,
            self::MaybeRenewed, self::LockNotKnown, self::TransferPending => Cure::LookAtRecord,
            self::EndNotKnown => Cure::SayWhen,
            self::HeldAtRegistrar => Cure::Wait,
            self::ExtraEnds, self::ExtraStays, self::ExtraNotKnown => Cure::KeepCopy,
            self::MailboxInside => Cure::AskReceiver,
            self::GoneForGood, self::LockLifted, self::AccountUnlocked, self::ChargedMeanwhile, self::ReceiverIsAsked => null,
        };
    }
}
