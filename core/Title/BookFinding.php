<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is in the way of writing something in our own books, or worth knowing before. */
enum BookFinding: string implements FindingTag
{
    case AlreadySo = 'already_so';
    /** What was to be undone is not any more as it was made. */
    case ChangedSince = 'changed_since';
    /** It was not done, so there is nothing to undo. */
    case NeverDone = 'never_done';
    /** The registrar itself has said that it is done, or the public record shows it: no tick was wrong. */
    case SaidByRegistrar = 'said_by_registrar';
    /** The account that it stays in belongs to somebody else than it is held for. */
    case StaysInAccount = 'stays_in_account';
    /** What we mean is not what the registrar does. */
    case RegistrarRenews = 'registrar_renews';

    /** Nothing that was seen outside could be written here. */
    case NothingSeen = 'nothing_seen';
    /** What was seen outside is old, or one source against another. */
    case SeenUnsurely = 'seen_unsurely';

    /** Registered elsewhere: there is nothing of ours to change. */
    case OnlyWatched = 'only_watched';

    /** Something of it was begun and has not ended. */
    case StillBegun = 'still_begun';
    /** A docket that nobody has settled yet has it too. */
    case PreparedAlready = 'prepared_already';
    /** It is to be closed here, and nothing outside says that it has gone. */
    case NotSeenGone = 'not_seen_gone';

    /** Names of that suffix have none. */
    case NoLock = 'no_lock';
    /** Names of that suffix go to another registrar without one. */
    case NoCode = 'no_code';
    /** Registrars give no code of a name whose lock is on. */
    case CodeUnderLock = 'code_under_lock';
    case UpdatesProhibited = 'updates_prohibited';
    case LockStopsMovement = 'lock_stops_movement';
    /** Which name servers it should have is recorded nowhere. */
    case NoServers = 'no_servers';
    /** Nothing outside says that it is being transferred. */
    case NoTransferSeen = 'no_transfer_seen';
    case MayBeCharged = 'may_be_charged';
    case NoEnd = 'no_end';
    case RestoreFirst = 'restore_first';
    /** By the end that is to be recorded it would be over all the same. */
    case StillOver = 'still_over';
    case TooFarAhead = 'too_far_ahead';

    public static function area(): string
    {
        return 'books';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::AlreadySo,
            self::ChangedSince,
            self::NeverDone,
            self::SaidByRegistrar,
            self::NothingSeen,
            self::SeenUnsurely,
            self::OnlyWatched,
            self::UpdatesProhibited,
            self::NoServers,
            self::NoTransferSeen,
            self::NoEnd,
            self::RestoreFirst => [],
            self::StillOver => ['until'],
            self::TooFarAhead => ['until', 'years'],
            self::NoLock, self::NoCode => ['suffix'],
            self::CodeUnderLock => [],
            self::LockStopsMovement, self::StillBegun, self::PreparedAlready => ['docket'],
            self::MayBeCharged => ['at'],
            self::StaysInAccount => ['account', 'owner'],
            self::RegistrarRenews => ['registrar'],
            self::NotSeenGone => ['account'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::RegistrarRenews, self::MayBeCharged => Cost::Money,
            self::LockStopsMovement, self::CodeUnderLock => Cost::MovementFails,
            self::NotSeenGone => Cost::NameLost,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return Actor::House;
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::AlreadySo,
            self::ChangedSince,
            self::NeverDone,
            self::SaidByRegistrar,
            self::NothingSeen,
            self::NoLock,
            self::NoCode,
            self::NoEnd,
            self::StillOver => Cure::LeaveOut,
            self::OnlyWatched => Cure::SayWhere,
            self::RestoreFirst => Cure::RestoreFirst,
            self::TooFarAhead => Cure::LookAtRecord,
            self::LockStopsMovement, self::StillBegun, self::PreparedAlready => Cure::SeeDocket,
            self::MayBeCharged, self::UpdatesProhibited, self::NoServers, self::NoTransferSeen, self::NotSeenGone => Cure::LookAtRecord,
            self::SeenUnsurely => Cure::LookAtRecord,
            self::StaysInAccount, self::RegistrarRenews, self::CodeUnderLock => null,
        };
    }
}
