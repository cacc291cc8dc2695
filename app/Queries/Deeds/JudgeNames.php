<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Deed;
use App\Actions\Deeds\Deeds;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\RollCase;

/** The live verdicts of a deed's page: what stands there before anything is written. */
final readonly class JudgeNames
{
    public function __construct(private CaseFiles $files)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @param  array<string, mixed>  $terms  as they would stand in the docket
     * @return list<JudgedName> in the order asked for
     */
    public function handle(Deed $deed, array $nameIds, array $terms, Instant $now): array
    {
        $files = array_values($this->files->of($nameIds, $now));

        return array_map(
            fn (RollCase $file, Readiness $readiness): JudgedName => new JudgedName($file, $readiness),
            $files,
            Deeds::judgeAll($deed, $files, $terms, $now),
        );
    }
}
