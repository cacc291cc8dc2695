<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Registrant\DesignatedAgent;
use Acre\Core\Time\Instant;

/** What was chosen for a change of registrant: who, what is agreed to, who says yes on whose authority, and by when. */
final readonly class RegistrantChosen
{
    /**
     * @param  string  $agreement  which text, and of when; '': none is said
     * @param  string  $authority  who agreed, where no letter of ours is answered; '': nobody
     * @param  bool  $isCorrection  whether it was asked for to correct what registrars have of the same registrant
     */
    public function __construct(
        public int $contactId,
        public string $agreement,
        public string $authority,
        public DesignatedAgent $agent,
        public Instant $answerBy,
        public bool $isCorrection = false,
    ) {
    }

    /** @return array<string, mixed> as it stands in `dockets.terms` */
    public function pack(): array
    {
        return [
            'contact' => $this->contactId,
            'agreement' => $this->agreement,
            'authority' => $this->authority,
            'agent' => $this->agent->value,
            'answer_by' => $this->answerBy->date(),
        ] + ($this->isCorrection ? ['correct' => '1'] : []);
    }

    /** @param  array<array-key, mixed>  $terms */
    public static function unpack(array $terms): self
    {
        $text = fn (string $key): string => is_string($terms[$key] ?? null) ? $terms[$key] : '';

        return new self(
            is_int($terms['contact'] ?? null) ? $terms['contact'] : 0,
            $text('agreement'),
            $text('authority'),
            // Dockets from before there were letters have none: what they wait for is done by hand.
            DesignatedAgent::tryFrom($text('agent')) ?? DesignatedAgent::Both,
            Instant::of($text('answer_by') === '' ? '2000-01-01' : $text('answer_by')),
            isset($terms['correct']),
        );
    }

    /** @return array<string, string> as an address says it */
    public function said(): array
    {
        return array_filter(
            [
                'contact' => (string) $this->contactId,
                'agreement' => $this->agreement,
                'authority' => $this->authority,
                'agent' => $this->agent->value,
                'by' => $this->answerBy->date(),
                'correct' => $this->isCorrection ? '1' : '',
            ],
            fn (string $word): bool => $word !== '',
        );
    }
}
