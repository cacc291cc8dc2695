<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

use Acre\Core\Record\Field;

/** In which fields a record that was read is not what it is meant to be. */
final readonly class RecordDifference
{
    /**
     * @param  list<Field>  $other  that say something else than what is held
     * @param  list<Field>  $shown  that are read, and are to be hidden
     * @param  list<Field>  $hidden  that are not read, and are to be shown
     */
    public function __construct(public array $other, public array $shown, public array $hidden)
    {
    }
}
