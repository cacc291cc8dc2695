<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5731 §3.2.2 */
final readonly class DomainDelete implements EppCommand
{
    public function __construct(private string $name)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('delete', [], fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'delete', fn (EppWriter $to) => $to->text('domain:name', $this->name)));
    }
}
