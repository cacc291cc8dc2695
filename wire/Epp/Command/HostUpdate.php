<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** RFC 5732 §3.2.5: other addresses, or another name. */
final readonly class HostUpdate implements EppCommand
{
    public function __construct(
        private string $host,
        private HostAddresses $add = new HostAddresses([]),
        private HostAddresses $remove = new HostAddresses([]),
        private ?string $newName = null,
    ) {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'update',
            [],
            fn (EppWriter $to) => $to->object(EppNamespace::Host, 'update', function (EppWriter $to): void {
                $to->text('host:name', $this->host);
                foreach (['add' => $this->add, 'rem' => $this->remove] as $which => $addresses) {
                    if (! $addresses->isEmpty()) {
                        $to->open("host:{$which}", [], $addresses->write(...));
                    }
                }
                if ($this->newName !== null) {
                    $to->open('host:chg', [], fn (EppWriter $to) => $to->text('host:name', $this->newName));
                }
            }),
        );
    }
}
