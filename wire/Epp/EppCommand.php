<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** One command of EPP. A new one is one class in `Command/`. */
interface EppCommand
{
    /** Writes its verb's element, as it stands first inside `command` (RFC 5730 §2.5). */
    public function write(EppWriter $to): void;
}
