<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** What becomes of an extra when its name is handed over: a term of the registrar. */
enum ExtraFate: string
{
    case ComesAlong = 'along';
    case Stays = 'stays';
    case Ends = 'ends';
}
