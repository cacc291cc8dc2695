<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Rulebook\RegistrantConfirms;

/** Another registrant for a name, judged before it is begun: what is in the way, who must confirm it, and what it starts. */
final readonly class RegistrantChange
{
    /** What `prior` says of somebody without a mailbox. */
    public const NO_MAILBOX = 'no_mailbox';

    /**
     * @param  Guard|null  $prior  null: nobody is written down
     * @param  bool  $isDeclinable  whether this registrar lets the hold be declined beforehand
     * @param  int|null  $moving  the docket by which it is moving; null: it stays where it is
     */
    public function __construct(private Contact $new, private ?Guard $prior, private Material $starts, private bool $isDeclinable, private ?int $moving)
    {
    }

    /** @return list<Finding> */
    public function findings(string $suffix, string $registrar): array
    {
        $mailbox = $this->new->mailbox?->address();
        if ($mailbox === null) {
            return [Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: $this->new->called())];
        }
        $findings = $this->moving === null ? [] : [Finding::of(RegistrantFinding::WhileMoving, Effect::Stops, null, docket: $this->moving)];
        foreach ($this->new->findings() as $finding) {
            if ($finding->tag === ContactFinding::Lacks && is_string($finding->with['what'])) {
                $findings[] = Finding::of(RegistrantFinding::NewLacks, Effect::Worth, null, who: $this->new->called(), what: $finding->with['what']);
            }
        }
        $findings[] = match ($this->starts->confirms) {
            RegistrantConfirms::Both => Finding::of(RegistrantFinding::BothConfirm, Effect::Worth, null, prior: $this->prior->mailbox ?? self::NO_MAILBOX, new: $mailbox),
            RegistrantConfirms::Registry => Finding::of(RegistrantFinding::RegistryConfirms, Effect::Worth, null, suffix: $suffix),
            RegistrantConfirms::New, RegistrantConfirms::Nobody => Finding::of(RegistrantFinding::NewConfirms, Effect::Worth, null, new: $mailbox),
        };
        if ($this->starts->holdUntil !== null) {
            $findings[] = $this->isDeclinable
                ? Finding::of(RegistrantFinding::HoldDeclinable, Effect::Worth, null, registrar: $registrar, until: $this->starts->holdUntil)
                : Finding::of(RegistrantFinding::StartsHold, Effect::Worth, null, until: $this->starts->holdUntil);
        }
        if ($this->starts->verifyBy !== null) {
            $findings[] = Finding::of(RegistrantFinding::StartsVerification, Effect::Worth, null, mailbox: $mailbox, by: $this->starts->verifyBy);
        }

        return $findings;
    }
}
