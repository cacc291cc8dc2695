<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlNode;

/** What a server has of a host (RFC 5732 §3.1.2). */
final readonly class HostData
{
    /**
     * @param  list<string>  $statuses
     * @param  list<string>  $addresses
     */
    private function __construct(public string $host, public array $statuses, public array $addresses, public string $sponsor)
    {
    }

    public static function of(EppResponse $response): self
    {
        $host = EppNamespace::Host->value;
        $info = $response->object(EppNamespace::Host, 'infData');

        return new self(
            strtolower($info->textOf($host, 'name')),
            array_map(fn (XmlNode $status): string => $status->attribute('s') ?? '', $info->children($host, 'status')),
            $info->texts($host, 'addr'),
            $info->textOf($host, 'clID'),
        );
    }
}
