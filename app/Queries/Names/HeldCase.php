<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Contact\Verification;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\Privacy;
use Acre\Core\Disclosure\Steps;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Handover;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Registrant\Guard;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;

/** A name in one of our accounts: what is recorded of it, its registrar's terms, and what is under way with it. */
final readonly class HeldCase extends RollCase
{
    /**
     * @param  list<string>  $servers  ASCII host names
     * @param  list<int>  $words  ids of the labels that people gave it
     * @param  list<ExtraKind>  $extras  those that have not ended
     * @param  Guard|null  $guard  null: nobody is recorded as its registrant
     * @param  Pattern|null  $told  what its registrar was told to show; null: not known
     * @param  Steps  $steps  what its registrar can be told of that
     * @param  bool  $holdDeclinable  whether its registrar lets the hold after a change of registrant be declined beforehand
     * @param  list<OpenDrift>  $drifts  where the outside says otherwise, dearest first
     * @param  Privacy|null  $privacy  the service that was bought with it, also when it is over; null: none
     * @param  bool  $weVerify  whether it is the house that asks its registrant to verify, and not its registrar
     * @param  int|null  $begun  the docket that has begun something with it, the oldest of several
     * @param  list<int>  $prepared  dockets that have it and wait to be settled, the oldest first
     */
    public function __construct(
        int $nameId,
        public int $registrationId,
        NameFacts $facts,
        LateTerms $late,
        public HandoverTerms $handover,
        public Account $account,
        int $clientId,
        string $clientName,
        public ?Guard $guard,
        public string $reference,
        public Disclosure $disclosure,
        public ?Pattern $told,
        public Steps $steps,
        public bool $holdDeclinable,
        array $servers,
        array $words,
        public int $acceptDays,
        public int $lotSize,
        public array $extras,
        public ?Waiting $waiting,
        public array $drifts,
        public ?Privacy $privacy = null,
        public ?int $begun = null,
        public bool $weVerify = false,
        public array $prepared = [],
    ) {
        parent::__construct($nameId, $facts, $late, $clientId, $clientName, $guard->called ?? '', $servers, $words);
    }

    public function account(): Account
    {
        return $this->account;
    }

    public function registrarName(): string
    {
        return $this->account->registrarName;
    }

    public function behind(Lifecycle $life): array
    {
        $found = $this->guard === null
            ? [Finding::of(ContactFinding::NoRegistrant)]
            : $this->guard->findings($this->facts->name, servesOrganisation: true, verification: $this->verification($life));

        return [...$found, ...$this->privacy?->findings($life->now, $life->rules->movesBy->value) ?? []];
    }

    public function verification(Lifecycle $life): ?Verification
    {
        return $this->guard?->mailbox === null
            ? null
            : Verification::of(
                $this->facts->created,
                $this->facts->moved,
                $this->guard->changed,
                $this->guard->verifiedFor($this->weVerify),
                $life->rules->verifyDays->value,
                $life->now,
            );
    }

    public function standing(Rulebook $book, Instant $now): Standing
    {
        return Standing::of($this->life($book, $now), $this->waiting);
    }

    /** The handover of this name, to be judged; without a receiver only the name itself is. */
    public function handoverTo(?Account $receiver, Instant $answerBy, Rulebook $book, Instant $now): Handover
    {
        return new Handover(
            $this->life($book, $now),
            $this->account,
            $receiver,
            $this->handover,
            $answerBy,
            $this->extras,
            $this->waiting,
            $this->seenOutside(),
        );
    }

    /**
     * What others have prepared with it, and nobody has settled yet.
     *
     * @return list<Finding>
     */
    public function preparedAlready(): array
    {
        return array_map(
            fn (int $docket): Finding => Finding::of(BookFinding::PreparedAlready, Effect::Worth, null, docket: $docket),
            $this->prepared,
        );
    }

    /**
     * What was seen outside, and nobody has settled, that its registrar would meet in doing a deed.
     *
     * @return list<Finding>
     */
    public function seenOutside(): array
    {
        $found = [];
        foreach ($this->drifts as $drift) {
            $effect = $drift->tag->against($drift->certainty);
            if ($effect !== null) {
                $found[] = Finding::of($drift->tag, $effect, null, ...$drift->finding->with);
            }
        }

        return $found;
    }
}
