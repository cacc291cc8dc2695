<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What is to be known of who stands behind a name, and of how they are reached. */
enum ContactFinding: string implements FindingTag
{
    /** It lies in a name that is meant to end: whoever registers that one next reads the mail of this one. */
    case MailboxLapses = 'mailbox_lapses';
    /** It lies in the very name that it guards, and falls silent with it. */
    case MailboxInside = 'mailbox_inside';
    /** Names guard each other, round and round: one that goes dark takes all with it. */
    case MailboxRing = 'mailbox_ring';
    /** Nobody has shown in time that the mailbox is theirs: by the rules the name was switched off. */
    case VerificationLapsed = 'verification_lapsed';
    case VerifyBy = 'verify_by';
    /** Letters to it come back. */
    case LettersReturn = 'letters_return';
    /** Days after they were asked, nobody has shown that they read it. */
    case NotAnswered = 'not_answered';
    /** Whoever answers letters to it writes from another: an approval that must come from it can't be given. */
    case Forwards = 'forwards';
    case NoMailbox = 'no_mailbox';
    case TakesNoMail = 'takes_no_mail';
    /** A private person is the holder where an organisation is served. */
    case HolderPerson = 'holder_person';
    /** No client has said that this is theirs. */
    case HolderUnknown = 'holder_unknown';
    /** Nobody is recorded. */
    case NoRegistrant = 'no_registrant';
    /** Its registrar has other data of the same registrant than our books. */
    case NotTold = 'not_told';
    case Lacks = 'lacks';
    case PostcodeLacks = 'postcode_lacks';
    case PostcodeElsewhere = 'postcode_elsewhere';
    case PhoneDoubtful = 'phone_doubtful';
    case PhoneElsewhere = 'phone_elsewhere';

    public static function area(): string
    {
        return 'contact';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::MailboxLapses => ['mailbox', 'site'],
            self::MailboxInside, self::LettersReturn => ['mailbox'],
            self::VerifyBy, self::VerificationLapsed => ['mailbox', 'by'],
            self::MailboxRing => ['mailbox', 'names'],
            self::NotAnswered => ['mailbox', 'since'],
            self::Forwards => ['mailbox', 'other'],
            self::TakesNoMail => ['host'],
            self::HolderPerson, self::HolderUnknown, self::NotTold => ['who'],
            self::Lacks => ['what'],
            self::PostcodeLacks => ['country'],
            self::PostcodeElsewhere => ['postcode', 'country'],
            self::PhoneDoubtful => ['phone'],
            self::PhoneElsewhere => ['phone', 'country'],
            self::NoMailbox, self::NoRegistrant => [],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::MailboxLapses => Cost::NameLost,
            self::VerificationLapsed,
            self::VerifyBy,
            self::LettersReturn,
            self::NotAnswered,
            self::MailboxInside,
            self::MailboxRing,
            self::NoMailbox,
            self::TakesNoMail => Cost::Dark,
            self::Lacks, self::PostcodeLacks, self::PostcodeElsewhere, self::NotTold, self::Forwards => Cost::MovementFails,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::HolderPerson, self::HolderUnknown, self::VerifyBy, self::VerificationLapsed => Actor::Client,
            default => Actor::House,
        };
    }

    public function cure(): Cure
    {
        return match ($this) {
            self::MailboxLapses,
            self::MailboxInside,
            self::MailboxRing,
            self::NoMailbox,
            self::TakesNoMail,
            self::LettersReturn,
            self::NotAnswered,
            self::Forwards => Cure::OtherMailbox,
            self::VerifyBy, self::VerificationLapsed => Cure::AskClient,
            self::HolderPerson, self::HolderUnknown => Cure::AskClient,
            self::NoRegistrant => Cure::SayWho,
            self::NotTold => Cure::TellRegistrar,
            self::Lacks, self::PostcodeLacks, self::PostcodeElsewhere, self::PhoneDoubtful, self::PhoneElsewhere => Cure::CorrectContact,
        };
    }
}
