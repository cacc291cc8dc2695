<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Name\DomainName;

/** What was pasted to be looked up. */
final readonly class AskedNames
{
    /**
     * @param  list<DomainName>  $names  each once
     * @param  list<string>  $wrong  what is no name
     * @param  int  $left  how many more there were than are asked about at once
     */
    public function __construct(public array $names, public array $wrong, public int $left)
    {
    }
}
