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

/**
 * Everything that the core asks about one name that is held or watched, gathered from the tables. A watched one lies in no account: its
 * account has the id 0.
 */
final readonly class CaseFile
{
    /**
     * @param  list<string>  $servers  ASCII host names
     * @param  list<int>  $words  ids of the labels that people gave it
     * @param  list<ExtraKind>  $extras  those that have not ended
     * @param  string  $registrant  how its registrant is called; '': not known
     * @param  Guard|null  $guard  null: nobody is written down as its registrant
     * @param  Pattern|null  $told  what its registrar was told to show; null: not known
     * @param  Steps  $steps  what its registrar can be told of that
     * @param  bool  $holdDeclinable  whether its registrar lets the hold after a change of registrant be declined beforehand
     * @param  list<OpenDrift>  $drifts  where the outside says otherwise, dearest first
     * @param  Privacy|null  $privacy  the service that was bought with it, also when it is over; null: none
     * @param  Watched|null  $watched  null: it is held
     * @param  bool  $weVerify  whether it is the house that asks its registrant to verify, and not its registrar
     * @param  int|null  $begun  the docket that has begun something with it, the oldest of several
     * @param  list<int>  $prepared  dockets that have it and wait to be settled, the oldest first
     */
    public function __construct(
        public int $nameId,
        public int $registrationId,
        public NameFacts $facts,
        public LateTerms $late,
        public HandoverTerms $handover,
        public Account $account,
        public int $clientId,
        public string $clientName,
        public string $registrant,
        public ?Guard $guard,
        public string $reference,
        public Disclosure $disclosure,
        public ?Pattern $told,
        public Steps $steps,
        public bool $holdDeclinable,
        public array $servers,
        public array $words,
        public int $acceptDays,
        public int $lotSize,
        public array $extras,
        public ?Waiting $waiting,
        public array $drifts,
        public ?Privacy $privacy = null,
        public ?Watched $watched = null,
        public ?int $begun = null,
        public bool $weVerify = false,
        public array $prepared = [],
    ) {
    }

    public function life(Rulebook $book, Instant $now): Lifecycle
    {
        return Lifecycle::of($this->facts, $this->late, $book->for($this->facts->name->suffix(), $now), $now);
    }

    /**
     * What is to be known of who stands behind it.
     *
     * @return list<Finding> dearest first
     */
    public function behind(Lifecycle $life): array
    {
        $found = match (true) {
            $this->watched !== null => [],
            $this->guard === null => [Finding::of(ContactFinding::NoRegistrant)],
            default => $this->guard->findings($this->facts->name, servesOrganisation: true, verification: $this->verification($life)),
        };

        return [...$found, ...$this->privacy?->findings($life->now, $life->rules->movesBy->value) ?? []];
    }

    /** Where the verification of its registrant's mailbox stands; null: nobody is written down. */
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

    /** Null: it is watched, and lies in no account of our books. */
    public function accountId(): ?int
    {
        return $this->watched === null ? $this->account->id : null;
    }

    public function standing(Rulebook $book, Instant $now): Standing
    {
        $life = $this->life($book, $now);

        return $this->watched === null ? Standing::of($life, $this->waiting) : Standing::watched($life, $this->watched->why);
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
