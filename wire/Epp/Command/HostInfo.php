<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5732 §3.1.2 */
final readonly class HostInfo implements EppCommand
{
    public function __construct(private string $host)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'info',
            [],
            fn (EppWriter $to) => $to->object(EppNamespace::Host, 'info', fn (EppWriter $to) => $to->text('host:name', $this->host)),
        );
    }
}
