<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use DateTimeImmutable;

/** A name and its end after it was created or renewed (RFC 5731 §3.2.1, §3.2.3); some servers leave the end out. */
final readonly class NewEnd
{
    private function __construct(public string $name, public ?DateTimeImmutable $ends)
    {
    }

    public static function of(EppResponse $response): self
    {
        $domain = EppNamespace::Domain->value;
        $data = $response->objectOrNull(EppNamespace::Domain, 'renData') ?? $response->object(EppNamespace::Domain, 'creData');

        return new self(strtolower($data->textOf($domain, 'name')), $data->timeOrNull($domain, 'exDate'));
    }
}
