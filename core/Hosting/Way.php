<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** Where it is put right that a host is at another place than the one it belongs to. */
enum Way: string
{
    /** Whoever runs the place runs the name servers too. */
    case AtPlace = 'place';
    /** The place's own name servers, at the registrar. */
    case Servers = 'servers';
    /** Only the records of pages, where the zone is kept now. */
    case Records = 'records';
}
