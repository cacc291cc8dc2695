<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/** The registrar's transfer lock (clientTransferProhibited). */
enum Lock: string
{
    case On = 'on';
    case Off = 'off';
    case NotKnown = 'unknown';
}
