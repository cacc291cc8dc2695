<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Time\Instant;

/** What a registrar had waiting for an account. */
final readonly class Message
{
    /**
     * @param  string  $id  the registrar's
     * @param  string  $body  as it came, without secrets
     * @param  string|null  $name  that it is about, A-labels
     * @param  string|null  $state  of the handover or transfer that it is about; of what was put off `done` or `refused`
     * @param  string|null  $transaction  that we gave what was put off
     * @param  Told|null  $told  of a charge: what was charged, or could not be, and what is left; of a balance: what is left
     */
    public function __construct(
        public string $id,
        public ?Instant $at,
        public string $text,
        public string $body,
        public ?string $name,
        public ?MessageKind $kind,
        public ?string $state,
        public ?string $to,
        public ?string $transaction = null,
        public ?Told $told = null,
    ) {
    }
}
