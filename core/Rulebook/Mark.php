<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** How far a rulebook value can be relied on. */
enum Mark: string
{
    /** From a published standard or policy, which is named. */
    case Published = 'pub';
    /** Common practice among people who do this work; nothing published says so. */
    case Practice = 'cp';
    /** From memory: to be read at the registry before anybody relies on it. */
    case Memory = 'mem';
}
