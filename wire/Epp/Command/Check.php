<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppWriter;

/** Whether objects could be created (RFC 5731, 5732 and 5733, §3.1.1 of each). */
final readonly class Check implements EppCommand
{
    /** @param  non-empty-list<string>  $keys  names in A-labels, or handles */
    public function __construct(private EppObject $object, private array $keys)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'check',
            [],
            fn (EppWriter $to) => $to->object(
                $this->object->namespace(),
                'check',
                fn (EppWriter $to) => $to->texts($this->object->key(), $this->keys),
            ),
        );
    }
}
