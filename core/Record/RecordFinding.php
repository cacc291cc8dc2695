<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\FindingTag;
use Acre\Core\Lifecycle\Status;

/** Where the record outside and the Roll disagree. */
enum RecordFinding: string implements FindingTag
{
    case NotInDirectory = 'not_in_directory';
    case OtherRegistrar = 'other_registrar';
    case TransferNotOurs = 'transfer_not_ours';
    /** In redemption (RFC 3915 §3.1) before its term is over. */
    case Deleted = 'deleted';
    /** Past redemption, or without one. */
    case FallsFree = 'falls_free';
    case EndsSooner = 'ends_sooner';
    case EndsLater = 'ends_later';
    /** Its registrar itself says that it was paid for longer. */
    case Renewed = 'renewed';
    /** Its registrar itself says, after its end, that it was paid for no longer, and it was to renew by itself. */
    case NotRenewed = 'not_renewed';
    case HeldByRegistry = 'held_by_registry';
    case HeldByRegistrar = 'held_by_registrar';
    case ServersChanged = 'servers_changed';
    case HolderDoubted = 'holder_doubted';
    case LockIsOff = 'lock_is_off';
    case LockIsOn = 'lock_is_on';
    case StatusSeen = 'status_seen';
    case StatusGone = 'status_gone';
    case CreatedDiffers = 'created_differs';
    /** Its holder was the one of our books at an earlier look, and is another now. */
    case HolderChanged = 'holder_changed';
    /** Fields of the holder that say something else. */
    case HolderDiffers = 'holder_differs';
    /** Fields of the holder that the world reads, and is not to. */
    case ShownMore = 'shown_more';
    case HiddenMore = 'hidden_more';
    /** The Roll has nothing where the record has something. */
    case EndNotWritten = 'end_not_written';
    case CreatedNotWritten = 'created_not_written';
    case ServersNotWritten = 'servers_not_written';
    case LockNotWritten = 'lock_not_written';

    public static function area(): string
    {
        return 'record';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NotInDirectory,
            self::HolderDoubted,
            self::TransferNotOurs,
            self::Deleted,
            self::FallsFree,
            self::LockIsOff,
            self::LockIsOn,
            self::HeldByRegistry,
            self::HeldByRegistrar => [],
            self::OtherRegistrar, self::ServersChanged, self::EndsSooner, self::EndsLater, self::Renewed, self::CreatedDiffers => [
                'held',
                'seen',
            ],
            self::StatusSeen, self::StatusGone => ['status'],
            self::HolderChanged, self::HolderDiffers, self::ShownMore, self::HiddenMore => ['fields'],
            self::NotRenewed, self::EndNotWritten, self::CreatedNotWritten, self::ServersNotWritten, self::LockNotWritten => ['seen'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::NotInDirectory,
            self::OtherRegistrar,
            self::TransferNotOurs,
            self::Deleted,
            self::FallsFree,
            self::HolderChanged,
            self::EndsSooner => Cost::NameLost,
            self::HeldByRegistry, self::HeldByRegistrar, self::ServersChanged, self::HolderDoubted, self::NotRenewed => Cost::Dark,
            self::LockIsOn, self::HolderDiffers => Cost::MovementFails,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::NotInDirectory,
            self::OtherRegistrar,
            self::TransferNotOurs,
            self::Deleted,
            self::FallsFree,
            self::HolderChanged,
            self::HeldByRegistrar => Actor::Registrar,
            self::HeldByRegistry => Actor::Registry,
            self::HolderDoubted => Actor::Client,
            default => Actor::House,
        };
    }

    public function cure(): Cure
    {
        return match ($this) {
            self::HolderDoubted,
            self::NotInDirectory,
            self::Deleted,
            self::FallsFree,
            self::HolderChanged,
            self::OtherRegistrar => Cure::LookAtRecord,
            self::TransferNotOurs => Cure::RefuseTransfer,
            self::HeldByRegistry, self::HeldByRegistrar => Cure::LiftHold,
            self::NotRenewed => Cure::RenewFirst,
            self::LockIsOff => Cure::SetLock,
            default => Cure::SettleDrift,
        };
    }

    /** What it does to a deed that the name's registrar is to do; null: nothing. What is not sure stops nobody. */
    public function against(Certainty $certainty): ?Effect
    {
        return match ($this) {
            self::NotInDirectory, self::OtherRegistrar, self::TransferNotOurs, self::Deleted, self::FallsFree => $certainty ===
            Certainty::Sure
                ? Effect::Stops
                : Effect::Worth,
            self::HeldByRegistry, self::HeldByRegistrar, self::ServersChanged, self::HolderChanged => Effect::Worth,
            default => null,
        };
    }

    /** Whether it says that we no longer hold the name, or that soon nobody will. */
    public function saysGone(): bool
    {
        return in_array($this, [self::NotInDirectory, self::OtherRegistrar, self::FallsFree], true);
    }

    /** Whether what was seen is a later end. */
    public function givesLaterEnd(): bool
    {
        return $this === self::Renewed || $this === self::EndsLater;
    }

    /**
     * Whether the name was paid for beyond the end recorded, as far as this says so; null: it doesn't.
     *
     * @param  Status|null  $status  that was seen, where it is about one
     */
    public function saysPaid(?Status $status): ?bool
    {
        return match ($this) {
            self::Renewed => true,
            self::NotRenewed, self::Deleted, self::FallsFree, self::NotInDirectory => false,
            self::StatusSeen => $status?->phase()?->isDeleted() === true ? false : null,
            default => null,
        };
    }

    /** The status that it means by its kind; null: none, or the one it names. */
    public function status(): ?Status
    {
        return match ($this) {
            self::HeldByRegistry => Status::ServerHold,
            self::HeldByRegistrar => Status::ClientHold,
            self::TransferNotOurs => Status::PendingTransfer,
            self::Deleted => Status::RedemptionPeriod,
            self::FallsFree => Status::PendingDelete,
            default => null,
        };
    }

    /** Whether it is told at once, by letter too: we did not do it, and the name could be lost or stop working. */
    public function isAlarming(): bool
    {
        return in_array(
            $this,
            [
                self::NotInDirectory,
                self::OtherRegistrar,
                self::TransferNotOurs,
                self::Deleted,
                self::FallsFree,
                self::HeldByRegistry,
                self::ServersChanged,
                self::HolderChanged,
            ],
            true,
        );
    }

    /** Whether it is what becomes of a name that nobody renews: it is parked, switched off, deleted, and somebody else's in the end. */
    public function belongsToLapsing(): bool
    {
        return in_array(
            $this,
            [
                self::NotInDirectory,
                self::OtherRegistrar,
                self::Deleted,
                self::FallsFree,
                self::HeldByRegistry,
                self::HeldByRegistrar,
                self::ServersChanged,
                self::StatusSeen,
                self::EndsSooner,
                self::CreatedDiffers,
                self::HolderChanged,
                self::HolderDiffers,
            ],
            true,
        );
    }

    /** Whether the Roll says nothing of it, rather than something else. */
    public function isLack(): bool
    {
        return in_array($this, [self::EndNotWritten, self::CreatedNotWritten, self::ServersNotWritten, self::LockNotWritten], true);
    }

    /** The fact of ours that it is about. */
    public function about(): DriftField
    {
        return match ($this) {
            self::NotInDirectory => DriftField::Registered,
            self::OtherRegistrar => DriftField::Registrar,
            self::EndsSooner, self::EndsLater, self::Renewed, self::NotRenewed, self::EndNotWritten => DriftField::Ends,
            self::CreatedDiffers, self::CreatedNotWritten => DriftField::Created,
            self::ServersChanged, self::ServersNotWritten => DriftField::Servers,
            self::LockIsOff, self::LockIsOn, self::LockNotWritten => DriftField::Lock,
            self::HolderDoubted, self::HolderChanged, self::HolderDiffers => DriftField::Holder,
            self::ShownMore, self::HiddenMore => DriftField::Disclosure,
            self::TransferNotOurs,
            self::Deleted,
            self::FallsFree,
            self::HeldByRegistry,
            self::HeldByRegistrar,
            self::StatusSeen,
            self::StatusGone => DriftField::Statuses,
        };
    }
}
