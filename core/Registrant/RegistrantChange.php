<?php

declare(strict_types=1);

namespace Acre\Core\Registrant;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\ContactFinding;
use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;

/**
 * Another registrant for a name, judged before it is begun: what is in the way, who must confirm it by when, and what it starts (ICANN
 * Transfer Policy, section II; elsewhere the suffix's own rules).
 */
final readonly class RegistrantChange
{
    /** What a finding says of somebody who is not recorded. */
    public const NOBODY = 'nobody';

    /**
     * @param  Guard|null  $prior  null: nobody is recorded
     * @param  Instant  $answerBy  by when whoever is written to should have answered
     * @param  bool  $hasAgreement  whether it is said what is agreed to
     * @param  bool  $hasAuthority  whether it is said who agreed, where no letter of ours is answered
     * @param  bool  $isDeclinable  whether this registrar lets the hold be declined beforehand
     * @param  Contact|null  $told  what this registrar has of the same registrant, whose data is corrected there; null: another one is to
     *     be
     * @param  int|null  $moving  the docket by which it is moving; null: it stays where it is
     */
    public function __construct(
        private Contact $new,
        private ?Guard $prior,
        private MaterialChange $starts,
        private DesignatedAgent $agent,
        private Instant $answerBy,
        private bool $hasAgreement,
        private bool $hasAuthority,
        private bool $isDeclinable,
        private ?int $moving,
        private ?Contact $told = null,
    ) {
    }

    /** @return list<Finding> */
    public function findings(string $suffix, Account $account): array
    {
        $mailbox = $this->new->mailbox?->address();
        if ($mailbox === null) {
            return [Finding::of(RegistrantFinding::NewHasNoMailbox, Effect::Stops, null, who: $this->new->called())];
        }
        $findings = $this->moving === null ? [] : [Finding::of(RegistrantFinding::WhileMoving, Effect::Stops, null, docket: $this->moving)];
        foreach ($this->new->findings() as $finding) {
            if ($finding->tag === ContactFinding::Lacks && is_string($finding->with['what'])) {
                $findings[] = Finding::of(
                    RegistrantFinding::NewLacks,
                    Effect::Worth,
                    null,
                    who: $this->new->called(),
                    what: $finding->with['what'],
                );
            }
        }
        if ($account->byWire && ($this->new->address->town === null || $this->new->address->country === null)) {
            $findings[] = Finding::of(
                RegistrantFinding::WireWantsPlace,
                Effect::Stops,
                null,
                registrar: $account->registrarName,
                who: $this->new->called(),
            );
        }
        array_push($findings, ...$this->aboutWhoConfirms($mailbox, $suffix));
        if ($this->starts->holdUntil !== null && $this->isMaterial()) {
            $findings[] = $this->isDeclinable
                ? Finding::of(
                    RegistrantFinding::HoldDeclinable,
                    Effect::Worth,
                    null,
                    registrar: $account->registrarName,
                    until: $this->starts->holdUntil,
                )
                : Finding::of(RegistrantFinding::StartsHold, Effect::Worth, null, until: $this->starts->holdUntil);
        }
        if ($this->starts->verifyBy !== null && $this->isMaterial()) {
            $findings[] = Finding::of(
                RegistrantFinding::StartsVerification,
                Effect::Worth,
                null,
                mailbox: $mailbox,
                by: $this->starts->verifyBy,
            );
        }

        return $findings;
    }

    /** @return list<Leg> who says yes, and what the registrar then does */
    public function legs(): array
    {
        $legs = array_map(
            fn (Side $side): Leg => new Leg(self::leg($side), Actor::Client, $this->answerBy),
            array_values(array_filter(Side::cases(), $this->isWrittenTo(...))),
        );

        return [
            ...$legs,
            new Leg(
                LegKind::Registrant,
                $this->starts->confirms === RegistrantConfirms::Registry && $this->isMaterial() ? Actor::Registry : Actor::House,
                $this->answerBy->plusDays(1),
            ),
        ];
    }

    /**
     * The same on the way of a handover: whoever must say yes does so first, and the other registrant is recorded before the name is
     * offered.
     *
     * @param  list<Leg>  $handover
     * @return list<Leg>
     */
    public function legsWithin(array $handover): array
    {
        $legs = $this->legs();
        $words = array_values(array_filter($legs, fn (Leg $leg): bool => $leg->kind->isWord()));
        $written = array_values(array_filter($legs, fn (Leg $leg): bool => ! $leg->kind->isWord()));
        $offer = array_search(LegKind::Offer, array_map(fn (Leg $leg): LegKind => $leg->kind, $handover), true);
        array_splice($handover, $offer === false ? 0 : (int) $offer, 0, $written);

        return [...$words, ...$handover];
    }

    /** @return list<Side> for whom the house agrees: as their agent, or because nobody is asked by a letter of ours */
    public function agreedByHouse(): array
    {
        if (! $this->isMaterial()) {
            return [];
        }
        $asked = array_values(array_filter(Side::cases(), $this->isAsked(...)));

        return $asked === [] ? [Side::New] : array_values(array_filter($asked, $this->agent->actsFor(...)));
    }

    /** @return list<Finding> */
    private function aboutWhoConfirms(string $mailbox, string $suffix): array
    {
        if (! $this->isMaterial()) {
            return [Finding::of(RegistrantFinding::Correction)];
        }
        [$prior, $new] = [$this->isWrittenTo(Side::Prior), $this->isWrittenTo(Side::New)];
        $by = $this->answerBy;
        $priorBox = $this->prior?->mailbox;
        if ($prior && $priorBox === null) {
            return [Finding::of(RegistrantFinding::PriorNotReached, Effect::Stops, null, prior: $this->prior->called ?? self::NOBODY)];
        }
        $findings = match (true) {
            $prior && $new => [
                Finding::of(RegistrantFinding::BothConfirm, Effect::Worth, null, prior: (string) $priorBox, new: $mailbox, by: $by),
            ],
            $prior => [Finding::of(RegistrantFinding::PriorConfirms, Effect::Worth, null, prior: (string) $priorBox, by: $by)],
            $new => [Finding::of(RegistrantFinding::NewConfirms, Effect::Worth, null, new: $mailbox, by: $by)],
            default => [],
        };
        if ($this->starts->confirms === RegistrantConfirms::Registry) {
            $findings[] = Finding::of(RegistrantFinding::RegistryConfirms, Effect::Worth, null, suffix: $suffix);
        }
        if (! $this->hasAgreement) {
            $findings[] = Finding::of(RegistrantFinding::NoAgreement, Effect::Stops);
        }
        if (! $prior && ! $new && ! $this->hasAuthority) {
            $findings[] = Finding::of(RegistrantFinding::NoAuthority, Effect::Stops, null, suffix: $suffix);
        }
        $acted = array_values(array_filter(Side::cases(), fn (Side $side): bool => $this->isAsked($side) && $this->agent->actsFor($side)));
        if ($acted !== []) {
            $findings[] = Finding::of(
                RegistrantFinding::AgentConfirms,
                Effect::Worth,
                null,
                whose: count($acted) === 2 ? DesignatedAgent::Both->value : $acted[0]->value,
            );
        }

        return $findings;
    }

    /** Whether it is more than a correction: another registrant, or another name, organisation or mailbox of the same. */
    private function isMaterial(): bool
    {
        return $this->told === null || MaterialChange::is($this->told, $this->new);
    }

    /** Of the same registrant one yes is both sides'. */
    private function isAsked(Side $side): bool
    {
        return $this->isMaterial() && $this->starts->confirms->asks($side) && ($this->told === null || $side === Side::New);
    }

    private function isWrittenTo(Side $side): bool
    {
        return $this->isAsked($side) && ! $this->agent->actsFor($side);
    }

    /** The leg on which a side confirms. */
    public static function leg(Side $side): LegKind
    {
        return $side === Side::Prior ? LegKind::ConfirmPrior : LegKind::ConfirmNew;
    }
}
