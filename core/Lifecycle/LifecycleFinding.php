<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a name's dates say of it today. */
enum LifecycleFinding: string implements FindingTag
{
    case RenewsByItself = 'renews_by_itself';
    case RenewsAtUnknownPrice = 'renews_at_unknown_price';
    /** The charge's day has passed, and the end has not moved yet. */
    case ChargeUnconfirmed = 'charge_unconfirmed';
    case EndsUnlessRenewed = 'ends_unless_renewed';
    case AskClient = 'ask_client';
    case AskedTooLate = 'asked_too_late';
    case Lapses = 'lapses';
    case Lapsing = 'lapsing';
    /** It was meant to lapse, and has. */
    case Lapsed = 'lapsed';
    case PresumedRenewed = 'presumed_renewed';
    /** Its end has passed here, and its registry gives a later one. */
    case RenewedOutside = 'renewed_outside';
    case LatePlain = 'late_plain';
    case LateDear = 'late_dear';
    /** By the rules it would be suspended or deleted, and its registry calls it ok. */
    case LateStillOk = 'late_still_ok';
    case Suspended = 'suspended';
    case Redemption = 'redemption';
    case PendingDelete = 'pending_delete';
    case Released = 'released';
    /** Its registry no longer has it. */
    case Gone = 'gone';
    /** What is said of it was seen outside, and is not written here. */
    case AsSeen = 'as_seen';
    case OnHold = 'on_hold';
    case EndNotKnown = 'end_not_known';
    case MayNotMove = 'may_not_move';
    /** Whoever has its code can move it, and nobody is moving it. */
    case LockOff = 'lock_off';
    /** Its account was listed whole, and it was not there. */
    case NotInList = 'not_in_list';
    /** Registered elsewhere, or not at all, and in no account of ours. */
    case Watched = 'watched';
    case DefaultRules = 'default_rules';

    public static function area(): string
    {
        return 'lifecycle';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::RenewsByItself => ['at', 'sum'],
            self::EndsUnlessRenewed, self::RenewsAtUnknownPrice, self::Lapses, self::PendingDelete, self::Released => ['at'],
            self::Gone, self::AsSeen, self::Lapsed => ['at'],
            self::Lapsing => ['ended', 'until'],
            self::ChargeUnconfirmed => ['at', 'ends'],
            self::AskClient => ['by', 'ends'],
            self::AskedTooLate => ['ends', 'by'],
            self::PresumedRenewed, self::RenewedOutside => ['ended', 'until'],
            self::LatePlain, self::LateDear, self::Suspended => ['until', 'last'],
            self::LateStillOk => ['ended'],
            self::Redemption => ['until'],
            self::OnHold => ['status'],
            self::EndNotKnown, self::LockOff => [],
            self::NotInList => ['since'],
            self::Watched => ['why'],
            self::MayNotMove => ['until', 'reason'],
            self::DefaultRules => ['suffix'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::LateDear,
            self::LateStillOk,
            self::Redemption,
            self::PendingDelete,
            self::Released,
            self::Gone,
            self::NotInList => Cost::NameLost,
            self::Lapses, self::EndsUnlessRenewed, self::AskedTooLate, self::Suspended, self::OnHold => Cost::Dark,
            self::MayNotMove => Cost::MovementFails,
            self::LatePlain => Cost::Money,
            self::RenewsByItself,
            self::RenewsAtUnknownPrice,
            self::ChargeUnconfirmed,
            self::AskClient,
            self::PresumedRenewed,
            self::RenewedOutside,
            self::Lapsing,
            self::Lapsed,
            self::AsSeen,
            self::EndNotKnown,
            self::LockOff,
            self::Watched,
            self::DefaultRules => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::AskClient, self::AskedTooLate => Actor::Client,
            self::OnHold => Actor::Registrar,
            self::MayNotMove, self::PendingDelete => Actor::Time,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::EndsUnlessRenewed, self::LatePlain, self::LateDear, self::LateStillOk, self::Suspended => Cure::RenewFirst,
            self::Redemption => Cure::RestoreFirst,
            self::AskClient, self::AskedTooLate => Cure::AskClient,
            self::Lapses, self::Lapsing => Cure::ChangeIntent,
            self::PresumedRenewed,
            self::ChargeUnconfirmed,
            self::EndNotKnown,
            self::Released,
            self::NotInList,
            self::Watched => Cure::LookAtRecord,
            self::RenewedOutside, self::Gone, self::Lapsed, self::AsSeen => Cure::SettleDrift,
            self::OnHold => Cure::LiftHold,
            self::MayNotMove => Cure::Wait,
            self::LockOff => Cure::SetLock,
            self::RenewsByItself, self::RenewsAtUnknownPrice, self::PendingDelete, self::DefaultRules => null,
        };
    }
}
