<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** Whether a name answers in DNS during a phase. */
enum Darkness: string
{
    case Answers = 'no';
    /** The registrar decides when. */
    case May = 'registrar';
    case Dark = 'yes';
}
