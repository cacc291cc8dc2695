<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** What a place does for the names that sit there. */
enum PlaceKind: string
{
    /** Space for pages at a web host. */
    case Pages = 'pages';
    case Shop = 'shop';
    /** A service that sends whoever comes to another address. */
    case Redirects = 'redirects';
    /** A machine of one's own. */
    case Machine = 'machine';
}
