<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Time\Instant;
use App\Actions\Registrants\RegistrantChosen;
use App\Models\Account;
use LogicException;
use UnexpectedValueException;

/**
 * What was chosen for a handover: to which account, whose the names are afterwards, by when an answer is wanted, and who is their
 * registrant from then on.
 */
final readonly class HandoverTermsChosen
{
    /**
     * @param  int|null  $receiverId  null: not chosen yet, so that only the names themselves are judged
     * @param  int|null  $clientId  null: each name stays with its client
     * @param  RegistrantChosen|null  $registrant  null: each keeps its own
     */
    public function __construct(
        public ?int $receiverId,
        public ?int $clientId,
        public Instant $answerBy,
        public ?RegistrantChosen $registrant = null,
    ) {
    }

    /** @return array<string, mixed> as it stands in `dockets.terms` */
    public function pack(): array
    {
        // What the letters to both sides say stands where theirs looks for it.
        return ['receiver' => $this->receiverId, 'client' => $this->clientId, 'answer_by' => $this->answerBy->iso()] +
            ($this->registrant === null ? [] : array_diff_key($this->registrant->pack(), ['answer_by' => true]));
    }

    /** @param  array<string, mixed>  $terms */
    public static function unpack(array $terms): self
    {
        $receiver = $terms['receiver'] ?? null;
        $client = $terms['client'] ?? null;
        $by = $terms['answer_by'] ?? null;
        if (! (is_int($receiver) || $receiver === null) || ! is_string($by) || ! (is_int($client) || $client === null)) {
            throw new UnexpectedValueException('These are not the terms of a handover.');
        }

        return new self($receiver, $client, Instant::of($by), isset($terms['contact']) ? RegistrantChosen::unpack($terms) : null);
    }

    public function receiver(): Account
    {
        return Account::query()
            ->with(['registrar', 'owner'])
            ->findOrFail($this->receiverId ?? throw new LogicException('Nobody is chosen to whom the names go.'));
    }
}
