<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** The kinds of object that a server keeps, each with a mapping of its own. */
enum EppObject
{
    case Domain;
    case Host;
    case Contact;

    public function namespace(): EppNamespace
    {
        return match ($this) {
            self::Domain => EppNamespace::Domain,
            self::Host => EppNamespace::Host,
            self::Contact => EppNamespace::Contact,
        };
    }

    /** The element that says which one. */
    public function key(): string
    {
        return match ($this) {
            self::Domain => 'domain:name',
            self::Host => 'host:name',
            self::Contact => 'contact:id',
        };
    }
}
