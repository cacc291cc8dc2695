<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Movement\Readiness;
use App\Queries\Names\CaseFile;

final readonly class JudgedName
{
    public function __construct(public CaseFile $file, public Readiness $readiness)
    {
    }
}
