<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is in the way of renewing a name, or worth knowing before. */
enum RenewalFinding: string implements FindingTag
{
    case UnderWay = 'under_way';
    case AlreadyMoving = 'already_moving';
    /** RFC 5731 §2.3: clientRenewProhibited, serverRenewProhibited. */
    case Prohibited = 'prohibited';
    case GoneForGood = 'gone_for_good';
    case MaybeRenewed = 'maybe_renewed';
    /** Its registry renews it only so many days before its end. */
    case TooEarly = 'too_early';
    /** It would run further ahead than its registry allows. */
    case TooFarAhead = 'too_far_ahead';
    case TooManyYears = 'too_many_years';
    /** Its registry sells no term that short. */
    case TooFewYears = 'too_few_years';
    case PriceNotKnown = 'price_not_known';
    case LatePrice = 'late_price';
    case Offered = 'offered';
    case OfferedByCode = 'offered_by_code';
    case BalanceLacks = 'balance_lacks';
    case BalanceNotKnown = 'balance_not_known';
    case CardExpired = 'card_expired';
    case RenewsItself = 'renews_itself';
    case MeantToLapse = 'meant_to_lapse';
    /** Ten years outlive everybody's memory (common practice). */
    case VeryLong = 'very_long';
    case NotDeleted = 'not_deleted';
    /** By the days that its registry commonly takes it should be deleted; nothing that was seen proves it. */
    case MaybeNotDeleted = 'maybe_not_deleted';
    /** RFC 3915 §3.1: pendingRestore. */
    case BeingRestored = 'being_restored';
    case RestoreBy = 'restore_by';
    case YearOnTop = 'year_on_top';

    public static function area(): string
    {
        return 'renewal';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::UnderWay => ['docket', 'by'],
            self::MaybeRenewed => ['ended'],
            self::TooEarly, self::RestoreBy => ['until'],
            self::TooFarAhead => ['until', 'years'],
            self::TooManyYears, self::TooFewYears, self::VeryLong => ['years'],
            self::PriceNotKnown, self::YearOnTop => ['registrar'],
            self::LatePrice => ['sum'],
            self::Offered => ['usual'],
            self::OfferedByCode => ['usual', 'code'],
            self::BalanceLacks => ['account', 'sum'],
            self::BalanceNotKnown => ['account'],
            self::CardExpired => ['account', 'on'],
            self::RenewsItself => ['at'],
            self::MeantToLapse => ['ends'],
            self::AlreadyMoving, self::Prohibited, self::GoneForGood, self::NotDeleted, self::MaybeNotDeleted, self::BeingRestored => [],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::GoneForGood, self::RestoreBy => Cost::NameLost,
            self::UnderWay, self::AlreadyMoving => Cost::MovementFails,
            self::TooEarly, self::TooFarAhead, self::TooManyYears, self::TooFewYears, self::VeryLong, self::NotDeleted => Cost::Attention,
            default => Cost::Money,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::UnderWay, self::AlreadyMoving, self::TooEarly, self::TooFarAhead => Actor::Time,
            self::Prohibited, self::BeingRestored => Actor::Registrar,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::UnderWay => Cure::SeeDocket,
            self::AlreadyMoving, self::Prohibited, self::MaybeRenewed, self::MaybeNotDeleted, self::BeingRestored => Cure::LookAtRecord,
            self::GoneForGood, self::TooManyYears, self::TooFewYears => Cure::LeaveOut,
            self::TooEarly, self::TooFarAhead => Cure::Wait,
            self::NotDeleted => Cure::RenewFirst,
            self::BalanceLacks => Cure::TopUp,
            self::CardExpired => Cure::OtherCard,
            self::MeantToLapse => Cure::ChangeIntent,
            default => null,
        };
    }
}
