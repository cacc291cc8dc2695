<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5731 §3.1.1: whether names could be created. */
final readonly class DomainCheck implements EppCommand
{
    /** @param  non-empty-list<string>  $names  A-labels */
    public function __construct(private array $names)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open('check', [], fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'check', fn (EppWriter $to) => $to->texts('domain:name', $this->names)));
    }
}
