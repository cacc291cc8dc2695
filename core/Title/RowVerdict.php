<?php

declare(strict_types=1);

namespace Acre\Core\Title;

/** What a line of a list does to the books. */
enum RowVerdict: string
{
    /** Nobody held the name here. */
    case New = 'new';
    case Changed = 'changed';
    case Same = 'same';
    /** It can't be written as it stands: the reason says why. */
    case Refused = 'refused';
    /** Held here, and not in a list that is said to be the whole account. */
    case Missing = 'missing';

    /** @param  array<array-key, mixed>  $changes  what the line says otherwise */
    public static function ofHeld(array $changes): self
    {
        return $changes === [] ? self::Same : self::Changed;
    }

    /** Whether there is something to write. */
    public function isWritten(): bool
    {
        return $this !== self::Same && $this !== self::Refused;
    }
}
