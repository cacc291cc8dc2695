<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5732 §3.2.1; addresses are for a host inside a name of the same registry alone. */
final readonly class HostCreate implements EppCommand
{
    public function __construct(private string $host, private HostAddresses $addresses = new HostAddresses([]))
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('create', [], fn (EppWriter $to) => $to->object(EppNamespace::Host, 'create', function (EppWriter $to): void {
            $to->text('host:name', $this->host);
            $this->addresses->write($to);
        }));
    }
}
