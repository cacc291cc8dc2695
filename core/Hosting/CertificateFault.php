<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** Why nobody's browser trusts who signed a certificate. */
enum CertificateFault: string
{
    case SelfSigned = 'self_signed';
    /** The server does not send the certificates between its own and one that is trusted (RFC 8446 §4.4.2). */
    case Incomplete = 'incomplete';
    /** It ends at somebody whom nobody trusts. */
    case Stranger = 'stranger';
    /** A signature in the chain is wrong, or was made by one that may sign none (RFC 5280 §4.2.1.9). */
    case Broken = 'broken';
    /** One of those between is over, or not yet good. */
    case SignerLapsed = 'signer_lapsed';
}
