<?php

declare(strict_types=1);

namespace Acre\Core\Record;

/** What of a name the Roll and the outside can disagree about. */
enum DriftField: string
{
    case Registered = 'registered';
    case Registrar = 'registrar';
    case Ends = 'ends';
    case Created = 'created';
    case Statuses = 'statuses';
    case Lock = 'lock';
    case Servers = 'servers';
    case Holder = 'holder';
    case Disclosure = 'disclosure';

    /** Whether what was observed can be taken over as it stands: the rest is no fact of the registration's own. */
    public function canBeTaken(): bool
    {
        return match ($this) {
            self::Ends, self::Created, self::Statuses, self::Lock, self::Servers => true,
            self::Registered, self::Registrar, self::Holder, self::Disclosure => false,
        };
    }
}
