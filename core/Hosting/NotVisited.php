<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** Why a page said nothing. */
enum NotVisited: string
{
    /** Its host has no address. */
    case NoAddress = 'no_address';
    /** None of its host's addresses is among those that may be asked. */
    case NotListed = 'not_listed';
    case Silent = 'silent';
    /** Nobody takes connections there. */
    case Closed = 'closed';
    /** TLS came to nothing; a certificate that is merely wrong is no reason. */
    case NoTls = 'no_tls';
    case Garbled = 'garbled';
}
