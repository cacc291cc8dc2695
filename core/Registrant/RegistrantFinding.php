<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a change of registrant starts, needs or runs into (ICANN Transfer Policy II; RAA 2013; the suffix's own rules). */
enum RegistrantFinding: string implements FindingTag
{
    case NewHasNoMailbox = 'new_has_no_mailbox';
    case NewLacks = 'new_lacks';
    /** No contact is made by wire without town and country (RFC 5733 §2.4, §3.2.1). */
    case WireWantsPlace = 'wire_wants_place';
    /** The one before must say yes, and can't be written to. */
    case PriorNotReached = 'prior_not_reached';
    /** It is not said what whoever says yes agrees to. */
    case NoAgreement = 'no_agreement';
    /** Nobody is asked by a letter of ours, and it is not said who agreed. */
    case NoAuthority = 'no_authority';
    /** The house says yes for a side that has authorised it. */
    case AgentConfirms = 'agent_confirms';
    /** Prior and new, each by a letter of ours. */
    case BothConfirm = 'both_confirm';
    case NewConfirms = 'new_confirms';
    /** The new one's agent is the house, the one before is written to. */
    case PriorConfirms = 'prior_confirms';
    case RegistryConfirms = 'registry_confirms';
    /** It may not go to another registrar until then: so move first, if it is to move. */
    case StartsHold = 'starts_hold';
    case HoldDeclinable = 'hold_declinable';
    case StartsVerification = 'starts_verification';
    /** Neither name, organisation nor mailbox become others: nothing is started by it. */
    case Correction = 'correction';
    /** It is moving: two changes of one name at once. */
    case WhileMoving = 'while_moving';

    public static function area(): string
    {
        return 'registrant';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::Correction, self::NoAgreement => [],
            self::NewHasNoMailbox => ['who'],
            self::NewLacks => ['who', 'what'],
            self::WireWantsPlace => ['registrar', 'who'],
            self::PriorNotReached => ['prior'],
            self::NoAuthority => ['suffix'],
            self::AgentConfirms => ['whose'],
            self::BothConfirm => ['prior', 'new', 'by'],
            self::NewConfirms => ['new', 'by'],
            self::PriorConfirms => ['prior', 'by'],
            self::RegistryConfirms => ['suffix'],
            self::StartsHold => ['until'],
            self::HoldDeclinable => ['registrar', 'until'],
            self::StartsVerification => ['mailbox', 'by'],
            self::WhileMoving => ['docket'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::StartsVerification, self::NewHasNoMailbox => Cost::Dark,
            self::StartsHold,
            self::HoldDeclinable,
            self::WhileMoving,
            self::NewLacks,
            self::WireWantsPlace,
            self::PriorNotReached,
            self::NoAuthority,
            self::NoAgreement,
            self::BothConfirm,
            self::NewConfirms,
            self::PriorConfirms => Cost::MovementFails,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::RegistryConfirms => Actor::Registry,
            self::BothConfirm, self::NewConfirms, self::PriorConfirms => Actor::Client,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NewHasNoMailbox, self::PriorNotReached => Cure::OtherMailbox,
            self::NewLacks, self::WireWantsPlace => Cure::CorrectContact,
            self::StartsHold, self::HoldDeclinable => Cure::MoveRegistrar,
            self::WhileMoving => Cure::SeeDocket,
            default => null,
        };
    }
}
