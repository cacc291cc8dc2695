<?php

declare(strict_types=1);

namespace Acre\Core\Record;

/** Who says something of a name. */
enum Source: string
{
    /** The directory of the registry that answers for the suffix. */
    case Registry = 'registry';
    /** The registrar's own directory, to which the registry links. */
    case Registrar = 'registrar';
    /** A registry's directory of the old kind, a text (RFC 3912). */
    case Text = 'text';
    /** The name servers of the suffix and of the name. */
    case Dns = 'dns';

    /** Whether it is the registry's word, which settles who and until when. */
    public function isRegistrys(): bool
    {
        return $this === self::Registry || $this === self::Text;
    }
}
