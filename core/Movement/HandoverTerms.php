<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** How one registrar hands names over between its accounts. */
final readonly class HandoverTerms
{
    /**
     * @param  bool  $namesGiver  the giving account is asked for in the same way
     * @param  int  $holdDays  days after a name was registered or arrived in which it is not handed over
     * @param  array<string, ExtraFate>  $extras  by `ExtraKind` value; a kind that is missing is not known
     * @param  bool  $acceptsByLetter  a receiver that is not ours says yes in answer to our letter, before anything moves
     */
    public function __construct(
        public ReceiverBy $receiverBy,
        public Confirms $confirms,
        public bool $namesGiver = false,
        public bool $lockFirst = false,
        public bool $unlockAccountFirst = false,
        public int $holdDays = 0,
        public array $extras = [],
        public bool $acceptsByLetter = false,
    ) {
    }

    /** Whether this receiver is written to and says yes before anything moves: only who has the account can. */
    public function asksFirst(?Account $receiver): bool
    {
        return $this->acceptsByLetter && $receiver !== null && ! $receiver->ours;
    }
}
