<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Name\DomainName;

/** A name that is not on the Roll: nothing is recorded of it. */
final readonly class UnheldCase extends CaseFile
{
    public function __construct(DomainName $name)
    {
        parent::__construct(new NameFacts($name), new LateTerms());
    }
}
