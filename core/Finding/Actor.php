<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

/** Who can act on a finding or a leg. */
enum Actor: string
{
    case House = 'house';
    case Client = 'client';
    case Giver = 'giver';
    case Receiver = 'receiver';
    case Registrar = 'registrar';
    case Registry = 'registry';
    /** Whoever runs the name servers. */
    case Host = 'host';
    /** Nobody need act: time does. */
    case Time = 'time';
}
