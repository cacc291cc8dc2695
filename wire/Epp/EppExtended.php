<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** A command that says more than its object's mapping has words for. */
interface EppExtended extends EppCommand
{
    /** Whether it has anything to say there this time. */
    public function isExtended(): bool;

    /** Writes what stands inside `extension` (RFC 5730 §2.7.3). */
    public function writeExtension(EppWriter $to): void;
}
