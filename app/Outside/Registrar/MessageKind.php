<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

enum MessageKind: string
{
    case Handover = 'handover';
    case Transfer = 'transfer';
    /** How something ended that the registrar had put off. */
    case Action = 'action';
    /** A renewal that it has charged by itself, or could not. */
    case Charge = 'charge';
    /** The account holds little. */
    case Balance = 'balance';
}
