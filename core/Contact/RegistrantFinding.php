<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a change of registrant starts, needs or runs into (ICANN Transfer Policy II; RAA 2013; the suffix's own rules). */
enum RegistrantFinding: string implements FindingTag
{
    case NewHasNoMailbox = 'new_has_no_mailbox';
    case NewLacks = 'new_lacks';
    /** Prior and new, each by a letter, or a designated agent for either. */
    case BothConfirm = 'both_confirm';
    case NewConfirms = 'new_confirms';
    case RegistryConfirms = 'registry_confirms';
    /** It may not go to another registrar until then: so move first, if it is to move. */
    case StartsHold = 'starts_hold';
    case HoldDeclinable = 'hold_declinable';
    case StartsVerification = 'starts_verification';
    /** It is moving: two changes of one name at once. */
    case WhileMoving = 'while_moving';

    public static function area(): string
    {
        return 'registrant';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NewHasNoMailbox => ['who'],
            self::NewLacks => ['who', 'what'],
            self::BothConfirm => ['prior', 'new'],
            self::NewConfirms => ['new'],
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
            self::StartsHold, self::HoldDeclinable, self::WhileMoving, self::NewLacks, self::BothConfirm => Cost::MovementFails,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::RegistryConfirms => Actor::Registry,
            self::BothConfirm, self::NewConfirms => Actor::Client,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NewHasNoMailbox => Cure::OtherMailbox,
            self::NewLacks => Cure::CorrectContact,
            self::StartsHold, self::HoldDeclinable => Cure::MoveRegistrar,
            self::WhileMoving => Cure::SeeDocket,
            default => null,
        };
    }
}
