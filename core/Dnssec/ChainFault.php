<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** Where a proof breaks. */
enum ChainFault: string
{
    case NoKeys = 'no_keys';
    /** No DS names one of the zone's keys. */
    case NoKeyOfDelegate = 'no_key_of_delegate';
    /** The keys themselves are not signed by one that a DS names, or not any more. */
    case KeysNotSigned = 'keys_not_signed';
    case RecordsNotSigned = 'records_not_signed';
}
