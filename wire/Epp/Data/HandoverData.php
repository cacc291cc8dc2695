<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;

/** A message that a handover went on: docs/account-extension.md */
final readonly class HandoverData
{
    /** @param  string  $state  `offered`, `accepted`, `refused`, `cancelled` or `lapsed` */
    private function __construct(
        public string $name,
        public string $from,
        public string $to,
        public string $state,
        public ?DateTimeImmutable $at,
    ) {
    }

    public static function of(EppResponse $response): ?self
    {
        $own = EppNamespace::Account->value;
        $data = $response->objectOrNull(EppNamespace::Account, 'handoverData');

        return $data === null
            ? null
            : new self(
                strtolower($data->textOf($own, 'name')),
                $data->textOf($own, 'from'),
                $data->textOf($own, 'to'),
                $data->textOf($own, 'state'),
                $data->timeOrNull($own, 'at'),
            );
    }
}
