<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;

/** Whether a name could be created, and the server's reason where it could not (RFC 5731 §3.1.1). */
final readonly class Availability
{
    private function __construct(public bool $isFree, public ?string $reason)
    {
    }

    /** @return array<string, self> by name */
    public static function allOf(EppResponse $response): array
    {
        $domain = EppNamespace::Domain->value;
        $found = [];
        foreach ($response->object(EppNamespace::Domain, 'chkData')->children($domain, 'cd') as $checked) {
            $name = $checked->child($domain, 'name');
            $found[strtolower($name->text())] = new self(in_array($name->attribute('avail'), ['1', 'true'], true), $checked->textOrNull($domain, 'reason'));
        }

        return $found;
    }
}
