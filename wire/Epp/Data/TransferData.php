<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;

/** How a transfer stands (RFC 5731 §3.1.3): answered with the command, with a query, or with a message of the queue. */
final readonly class TransferData
{
    /**
     * @param  string  $state  `pending`, `clientApproved`, `clientCancelled`, `clientRejected`, `serverApproved` or `serverCancelled`
     * @param  DateTimeImmutable|null  $actAt  by when the other side must act, or when it did
     * @param  DateTimeImmutable|null  $ends  the end if it is approved
     */
    private function __construct(
        public string $name,
        public string $state,
        public string $asker,
        public ?DateTimeImmutable $askedAt,
        public string $actor,
        public ?DateTimeImmutable $actAt,
        public ?DateTimeImmutable $ends,
    ) {
    }

    public static function of(EppResponse $response): self
    {
        $domain = EppNamespace::Domain->value;
        $data = $response->object(EppNamespace::Domain, 'trnData');

        return new self(
            strtolower($data->textOf($domain, 'name')), $data->textOf($domain, 'trStatus'), $data->textOf($domain, 'reID'), $data->timeOrNull($domain, 'reDate'),
            $data->textOf($domain, 'acID'), $data->timeOrNull($domain, 'acDate'), $data->timeOrNull($domain, 'exDate'),
        );
    }

    public function isPending(): bool
    {
        return $this->state === 'pending';
    }
}
