<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;

/** What a registrar knows of a name beyond its registry, beside the name's own data: docs/account-extension.md */
final readonly class AccountData
{
    /**
     * @param  string|null  $offeredTo  the account that a handover waits for
     * @param  list<string>|null  $shown  fields of the holder that may be shown; null: nothing is said of it
     */
    private function __construct(public string $number, public ?bool $autoRenew, public ?string $offeredTo, public ?array $shown)
    {
    }

    /** Null: the registrar says nothing beyond. */
    public static function of(EppResponse $response): ?self
    {
        $own = EppNamespace::Account->value;
        $data = $response->extension(EppNamespace::Account, 'infData');
        $autoRenew = $data?->textOrNull($own, 'autoRenew');

        return $data === null
            ? null
            : new self(
                $data->textOf($own, 'number'),
                $autoRenew === null ? null : in_array($autoRenew, ['1', 'true'], true),
                $data->childOrNull($own, 'handover')?->textOf($own, 'to'),
                $data->childOrNull($own, 'disclose')?->texts($own, 'field'),
            );
    }
}
