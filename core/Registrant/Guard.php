<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\TakesMail;
use Acre\Core\Contact\Verification;
use Acre\Core\Contact\VerificationState;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;

/** The registrant of a name and the mailbox that guards it: whoever reads that can take the name, and if nobody does it goes dark. */
final readonly class Guard
{
    /** Days without an answer: the house's own choice, days before a deadline of fifteen. */
    private const SILENT = 5;

    /**
     * @param  string|null  $site  A-labels of the name that the mailbox lies in; null: none, or no mailbox
     * @param  Intent|null  $siteIntent  what is meant with that name, where it is one of ours
     * @param  int  $ring  how many names guard each other round and round, this one among them; 0: none do
     * @param  bool  $known  whether a client has said that the registrant is theirs
     * @param  Instant|null  $verified  when the mailbox was last verified
     * @param  bool  $verifiedThere  whether that was in answer to a registrar's own letter
     * @param  Instant|null  $changed  when the registrant last became another one
     * @param  string|null  $bounced  what the post said of the last letter to it, where that came back or was refused
     * @param  Instant|null  $askedOn  when the first letter that asks for its verification was taken by the post, where none is answered
     * @param  string|null  $forwardsTo  from where letters to it are answered, where that is another mailbox
     * @param  int|null  $told  the version that its registrar has, where that says something else; null: it has today's
     */
    public function __construct(
        public int $contact,
        public HolderKind $kind,
        public string $called,
        public ?string $mailbox,
        public ?string $site,
        public TakesMail $takesMail = TakesMail::Unknown,
        public ?Intent $siteIntent = null,
        public int $ring = 0,
        public bool $known = true,
        public ?Instant $verified = null,
        public ?Instant $changed = null,
        public ?string $bounced = null,
        public ?int $told = null,
        public ?Instant $askedOn = null,
        public ?string $forwardsTo = null,
        public bool $verifiedThere = false,
    ) {
    }

    /**
     * When its mailbox was verified, as far as that serves a registrar: an answer to our letter, or a call of ours, serves those for which
     * we ask; one that asks itself waits for an answer to its own (RAA 2013, accuracy specification 1).
     *
     * @param  bool  $weAsk  whether the house asks for that registrar
     */
    public function verifiedFor(bool $weAsk): ?Instant
    {
        return $weAsk || $this->verifiedThere ? $this->verified : null;
    }

    /**
     * @param  bool  $servesOrganisation  whether the name is held for an organisation
     * @param  Verification|null  $verification  where the verification of the mailbox stands for it
     * @return list<Finding> dearest first
     */
    public function findings(DomainName $name, bool $servesOrganisation, ?Verification $verification = null): array
    {
        $found = [];
        if ($this->mailbox === null) {
            $found[] = Finding::of(ContactFinding::NoMailbox);
        } else {
            $inside = $this->site === $name->registrable()->ascii;
            if ($this->siteIntent === Intent::Lapse && ! $inside) {
                $found[] = Finding::of(ContactFinding::MailboxLapses, mailbox: $this->mailbox, site: (string) $this->site);
            }
            if ($inside) {
                $found[] = Finding::of(ContactFinding::MailboxInside, mailbox: $this->mailbox);
            } elseif ($this->ring > 1) {
                $found[] = Finding::of(ContactFinding::MailboxRing, mailbox: $this->mailbox, names: $this->ring);
            }
            if ($verification?->by !== null) {
                $found[] = $verification->state === VerificationState::Lapsed
                    ? Finding::of(ContactFinding::VerificationLapsed, mailbox: $this->mailbox, by: $verification->by)
                    : Finding::of(ContactFinding::VerifyBy, mailbox: $this->mailbox, by: $verification->by);
            }
            if ($this->bounced !== null) {
                $found[] = Finding::of(ContactFinding::LettersReturn, mailbox: $this->mailbox);
            }
            if ($verification?->isDue() === true && $this->isSilentAt($verification->now)) {
                $found[] = Finding::of(ContactFinding::NotAnswered, mailbox: $this->mailbox, since: $this->askedOn ?? $verification->now);
            }
            if ($this->forwardsTo !== null) {
                $found[] = Finding::of(ContactFinding::Forwards, mailbox: $this->mailbox, other: $this->forwardsTo);
            }
            if ($this->takesMail === TakesMail::No) {
                $found[] = Finding::of(ContactFinding::TakesNoMail, host: substr((string) strrchr($this->mailbox, '@'), 1));
            }
        }
        if ($this->told !== null) {
            $found[] = Finding::of(ContactFinding::NotTold, who: $this->called);
        }
        if ($this->kind === HolderKind::Person && $servesOrganisation) {
            $found[] = Finding::of(ContactFinding::HolderPerson, who: $this->called);
        }
        if (! $this->known) {
            $found[] = Finding::of(ContactFinding::HolderUnknown, who: $this->called);
        }

        return Finding::dearestFirst($found);
    }

    /** When a letter that nobody has answered becomes a sign that nobody reads them; null: none is waiting. */
    public function silentFrom(): ?Instant
    {
        return $this->bounced !== null || $this->askedOn === null ? null : self::silentAfter($this->askedOn);
    }

    /** The day on which a silence is told of a letter that the post took then. */
    public static function silentAfter(Instant $askedOn): Instant
    {
        return $askedOn->toDay()->plusDays(self::SILENT);
    }

    private function isSilentAt(Instant $now): bool
    {
        return $this->silentFrom()?->hasComeAt($now) === true;
    }
}
