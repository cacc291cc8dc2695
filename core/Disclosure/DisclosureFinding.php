<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is in the way of a choice of disclosure, or worth knowing before. */
enum DisclosureFinding: string implements FindingTag
{
    /** The suffix leaves no field to choose. */
    case NoChoice = 'no_choice';
    /** Nothing may be shown beyond what is shown today before the holder agrees. */
    case NeedsConsent = 'needs_consent';
    case AlwaysShown = 'always_shown';
    case NeverShown = 'never_shown';
    /** The registrar only sells coarser steps. */
    case CoarserStep = 'coarser_step';
    /** A privacy service's data is read instead, whatever is chosen. */
    case PrivacyStandsIn = 'privacy_stands_in';
    /** A privacy service ends soon, and nobody renews it: the record will show the holder. */
    case PrivacyEnds = 'privacy_ends';
    case PrivacyOver = 'privacy_over';
    /** Nobody is recorded as its registrant, so what would be read can't be said. */
    case NobodyToShow = 'nobody_to_show';
    /** Whether organisation or person: the suffix treats them differently, so it is judged as the more hidden. */
    case HolderKindUnknown = 'holder_kind_unknown';

    /** Somebody who asks the holder by letter whether it may move reaches the privacy service instead. */
    case MoveMailedThrough = 'move_mailed_through';
    /** An organisation is hidden that was shown. */
    case BusinessHidden = 'business_hidden';

    public static function area(): string
    {
        return 'disclosure';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NoChoice => ['suffix'],
            self::NeedsConsent => ['fields', 'who'],
            self::AlwaysShown, self::NeverShown => ['suffix', 'fields'],
            self::CoarserStep => ['registrar', 'fields'],
            self::PrivacyStandsIn, self::NobodyToShow, self::MoveMailedThrough => [],
            self::PrivacyEnds => ['until'],
            self::PrivacyOver => ['ended'],
            self::HolderKindUnknown, self::BusinessHidden => ['who'],
        };
    }

    public function cost(): Cost
    {
        return $this === self::MoveMailedThrough ? Cost::MovementFails : Cost::Attention;
    }

    public function actor(): Actor
    {
        return $this === self::NeedsConsent ? Actor::Client : Actor::House;
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NoChoice => Cure::LeaveOut,
            self::NeedsConsent => Cure::AskClient,
            self::NobodyToShow => Cure::SayWho,
            self::HolderKindUnknown => Cure::CorrectContact,
            default => null,
        };
    }
}
