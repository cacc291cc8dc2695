<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is in the way of a transfer to another registrar, or worth knowing before it. */
enum TransferFinding: string implements FindingTag
{
    /** That is a handover, and no transfer. */
    case SameRegistrar = 'same_registrar';
    case UnderWay = 'under_way';
    case AlreadyMoving = 'already_moving';
    case Held = 'held';
    case MustBeRefused = 'must_be_refused';
    case MayBeRefused = 'may_be_refused';

    case LockLifted = 'lock_lifted';
    case LockNotOurs = 'lock_not_ours';
    case LockNotKnown = 'lock_not_known';
    /** Only the registry lifts it (RFC 5731 §2.3). */
    case LockedByRegistry = 'locked_by_registry';

    case CodeAsked = 'code_asked';
    case CodeNotOurs = 'code_not_ours';
    case CodeOver = 'code_over';
    case CodeWrong = 'code_wrong';

    case InRedemption = 'in_redemption';
    case GoneForGood = 'gone_for_good';
    case EndNotKnown = 'end_not_known';
    case EndsOnTheWay = 'ends_on_the_way';
    case LastDays = 'last_days';
    case YearPaidTwice = 'year_paid_twice';
    case ChargedOnTheWay = 'charged_on_the_way';
    case RenewsItself = 'renews_itself';
    case YearLost = 'year_lost';
    case NoYear = 'no_year';

    case SuffixNotTaken = 'suffix_not_taken';
    case SuffixNotKnown = 'suffix_not_known';
    /** Names of its suffix go by that, and nobody has said which it is. */
    case TagNotKnown = 'tag_not_known';
    case PriceNotKnown = 'price_not_known';
    case BalanceLacks = 'balance_lacks';

    case MailboxNotKnown = 'mailbox_not_known';
    case MailboxDead = 'mailbox_dead';
    case MailboxForwards = 'mailbox_forwards';
    case MailboxInside = 'mailbox_inside';
    case LetterSwallowed = 'letter_swallowed';

    case ServersEnd = 'servers_end';
    case ZoneNotKept = 'zone_not_kept';
    case ZoneNotThere = 'zone_not_there';
    case KeysNotTaken = 'keys_not_taken';

    /** What was bought with the name at the losing side stays there, and ends. */
    case ExtraEnds = 'extra_ends';

    public static function area(): string
    {
        return 'transfer';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::UnderWay => ['docket', 'by'],
            self::Held => ['reason', 'until'],
            self::MustBeRefused, self::MayBeRefused => ['reason'],
            self::LockNotOurs, self::CodeNotOurs, self::CodeWrong => ['registrar'],
            self::CodeOver => ['until'],
            self::InRedemption, self::EndsOnTheWay, self::LastDays, self::YearPaidTwice => ['ends'],
            self::ChargedOnTheWay => ['at', 'registrar'],
            self::RenewsItself => ['registrar'],
            self::YearLost => ['until'],
            self::NoYear => ['suffix'],
            self::SuffixNotTaken, self::SuffixNotKnown, self::TagNotKnown => ['registrar', 'suffix'],
            self::SameRegistrar, self::PriceNotKnown, self::ZoneNotThere, self::KeysNotTaken => ['registrar'],
            self::BalanceLacks => ['registrar', 'sum'],
            self::MailboxDead, self::MailboxForwards, self::MailboxInside => ['mailbox'],
            self::ServersEnd => ['registrar'],
            self::ExtraEnds => ['extra', 'registrar'],
            default => [],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::InRedemption, self::GoneForGood => Cost::NameLost,
            self::EndsOnTheWay,
            self::ServersEnd,
            self::ZoneNotKept,
            self::ZoneNotThere,
            self::KeysNotTaken,
            self::ExtraEnds,
            self::MailboxInside => Cost::Dark,
            self::LastDays,
            self::YearPaidTwice,
            self::ChargedOnTheWay,
            self::RenewsItself,
            self::YearLost,
            self::BalanceLacks => Cost::Money,
            self::LockLifted, self::CodeAsked, self::NoYear => Cost::Attention,
            default => Cost::MovementFails,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::Held, self::UnderWay => Actor::Time,
            self::MustBeRefused, self::MayBeRefused, self::AlreadyMoving, self::CodeWrong => Actor::Registrar,
            self::LockedByRegistry => Actor::Registry,
            self::LockNotOurs, self::CodeNotOurs => Actor::Giver,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::UnderWay => Cure::SeeDocket,
            self::AlreadyMoving, self::LockNotKnown => Cure::LookAtRecord,
            self::Held => Cure::Wait,
            self::LockNotOurs, self::CodeNotOurs => Cure::GainAccess,
            self::InRedemption => Cure::RestoreFirst,
            self::EndNotKnown => Cure::SayWhen,
            self::EndsOnTheWay => Cure::RenewFirst,
            self::MailboxNotKnown => Cure::SayWho,
            self::MailboxDead, self::MailboxForwards, self::MailboxInside => Cure::OtherMailbox,
            self::ZoneNotKept => Cure::KeepZone,
            self::ExtraEnds => Cure::KeepCopy,
            self::ZoneNotThere => Cure::AddRecords,
            self::KeysNotTaken => Cure::EndDnssec,
            self::SameRegistrar, self::SuffixNotTaken, self::GoneForGood => Cure::LeaveOut,
            default => null,
        };
    }
}
