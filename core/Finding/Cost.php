<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

/** What missing something costs; the order of findings everywhere, dearest first. */
enum Cost: int
{
    case NameLost = 0;
    case Dark = 1;
    case MovementFails = 2;
    case Money = 3;
    case Attention = 4;
}
