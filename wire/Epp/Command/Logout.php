<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppWriter;

/** RFC 5730 §2.9.1.2 */
final readonly class Logout implements EppCommand
{
    public function write(EppWriter $to): void
    {
        $to->sign('logout');
    }
}
