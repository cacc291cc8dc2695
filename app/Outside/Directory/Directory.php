<?php

declare(strict_types=1);

namespace App\Outside\Directory;

use Acre\Core\Name\DomainName;

/** The public directories of registries and registrars. */
interface Directory
{
    /**
     * @param  bool  $isDeep  whether the registrar's own directory is asked too
     * @return list<DirectoryAnswer> one a source that was asked, the registry's first; what went wrong is said in it and not thrown
     */
    public function ask(DomainName $name, bool $isDeep = true): array;
}
