<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\FindingTag;

/** What a change of name servers would meet, or break. */
enum ServersFinding: string implements FindingTag
{
    case NotAsked = 'not_asked';
    case TooFew = 'too_few';
    case TooMany = 'too_many';
    case NeedsGlue = 'needs_glue';
    case NoAddress = 'no_address';
    case IsAlias = 'is_alias';
    case OneNetwork = 'one_network';
    /** None of the new servers has the name. */
    case NobodyAnswers = 'nobody_answers';
    case OneDoesNotAnswer = 'one_does_not_answer';
    /** The registry asks them first, and takes none that does not answer. */
    case RegistryRefuses = 'registry_refuses';
    case LosesMail = 'loses_mail';
    case MailElsewhere = 'mail_elsewhere';
    case LosesWeb = 'loses_web';
    case WebElsewhere = 'web_elsewhere';
    /** What lets receivers trust its mail: SPF, DKIM, DMARC. */
    case LosesMailTrust = 'loses_mail_trust';
    case LosesPart = 'loses_part';
    case LosesOther = 'loses_other';
    case BreaksDnssec = 'breaks_dnssec';
    /** Gone at the registry, and kept by resolvers. */
    case DelegateKept = 'delegate_kept';
    /** Old and new servers sign, each with keys that the other does not have. */
    case KeysApart = 'keys_apart';
    case DnssecNotKnown = 'dnssec_not_known';
    /** The present servers don't answer, so nothing can be compared. */
    case NothingToCompare = 'nothing_to_compare';

    /** What somebody may mean to happen, and say so. */
    private const ACCEPTABLE = [
        self::OneDoesNotAnswer,
        self::LosesMail,
        self::MailElsewhere,
        self::LosesWeb,
        self::LosesMailTrust,
        self::LosesPart,
        self::LosesOther,
    ];

    /** @return list<self> */
    public static function acceptable(): array
    {
        return self::ACCEPTABLE;
    }

    /** Whether it is about DNSSEC. */
    public function isOfKeys(): bool
    {
        return in_array($this, [self::BreaksDnssec, self::DelegateKept, self::KeysApart, self::DnssecNotKnown], true);
    }

    public static function area(): string
    {
        return 'servers';
    }

    public function arguments(): array
    {
        return match ($this) {
            self::NotAsked,
            self::TooFew,
            self::NobodyAnswers,
            self::BreaksDnssec,
            self::KeysApart,
            self::DnssecNotKnown,
            self::NothingToCompare => [],
            self::DelegateKept => ['gone', 'until'],
            self::TooMany => ['count'],
            self::NeedsGlue, self::NoAddress, self::IsAlias => ['host'],
            self::OneDoesNotAnswer => ['host', 'answer'],
            self::RegistryRefuses => ['suffix', 'host'],
            self::OneNetwork => ['network'],
            self::LosesMail, self::LosesWeb, self::LosesMailTrust, self::LosesPart, self::LosesOther => ['records'],
            self::MailElsewhere, self::WebElsewhere => ['was', 'becomes'],
        };
    }

    public function cost(): Cost
    {
        return match ($this) {
            self::NobodyAnswers,
            self::NeedsGlue,
            self::NoAddress,
            self::LosesMail,
            self::MailElsewhere,
            self::LosesWeb,
            self::LosesPart,
            self::BreaksDnssec,
            self::DelegateKept,
            self::KeysApart => Cost::Dark,
            self::TooFew,
            self::TooMany,
            self::IsAlias,
            self::NotAsked,
            self::DnssecNotKnown,
            self::RegistryRefuses => Cost::MovementFails,
            default => Cost::Attention,
        };
    }

    public function actor(): Actor
    {
        return match ($this) {
            self::NobodyAnswers,
            self::OneDoesNotAnswer,
            self::RegistryRefuses,
            self::NoAddress,
            self::IsAlias,
            self::LosesMail,
            self::MailElsewhere,
            self::LosesWeb,
            self::LosesMailTrust,
            self::LosesPart,
            self::LosesOther => Actor::Host,
            self::BreaksDnssec, self::KeysApart => Actor::Registrar,
            self::DelegateKept => Actor::Time,
            default => Actor::House,
        };
    }

    public function cure(): ?Cure
    {
        return match ($this) {
            self::NotAsked, self::DnssecNotKnown => Cure::AskServers,
            self::TooFew, self::TooMany, self::NeedsGlue => Cure::CorrectSet,
            self::NobodyAnswers,
            self::OneDoesNotAnswer,
            self::RegistryRefuses,
            self::NoAddress,
            self::IsAlias => Cure::AskHost,
            self::LosesMail,
            self::MailElsewhere,
            self::LosesWeb,
            self::LosesMailTrust,
            self::LosesPart,
            self::LosesOther => Cure::AddRecords,
            self::BreaksDnssec, self::KeysApart => Cure::EndDnssec,
            self::DelegateKept => Cure::Wait,
            self::OneNetwork, self::WebElsewhere, self::NothingToCompare => null,
        };
    }
}
