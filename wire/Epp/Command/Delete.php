<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppWriter;

/** RFC 5731, 5732 and 5733, §3.2.2 of each. */
final readonly class Delete implements EppCommand
{
    public function __construct(private EppObject $object, private string $key)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'delete',
            [],
            fn (EppWriter $to) => $to->object(
                $this->object->namespace(),
                'delete',
                fn (EppWriter $to) => $to->text($this->object->key(), $this->key),
            ),
        );
    }
}
