<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use SensitiveParameter;

/** RFC 5731 §3.1.2: everything that the server has of a name; with its code also when another registrar sponsors it. */
final readonly class DomainInfo implements EppCommand
{
    public function __construct(private string $name, #[SensitiveParameter] private ?string $code = null)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->begin('info')->beginObject(EppNamespace::Domain, 'info')->text('domain:name', $this->name, ['hosts' => 'all']);
        if ($this->code !== null) {
            $to->begin('domain:authInfo')->text('domain:pw', $this->code)->end();
        }
        $to->end()->end();
    }
}
