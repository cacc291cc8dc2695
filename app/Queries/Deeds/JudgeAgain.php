<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\Deeds;
use App\Models\Docket;
use App\Queries\Names\CaseFiles;
use App\Support\TradeClock;

/**
 * What is to be said today of names of a docket that nobody has settled: whoever settles it sees what its preparer saw, and what has come
 * since.
 */
final readonly class JudgeAgain
{
    public function __construct(private CaseFiles $files, private Deeds $deeds, private TradeClock $clock)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, list<Finding>> by name, those that stand in the way first
     */
    public function handle(Docket $docket, array $nameIds): array
    {
        $now = $this->clock->now();
        $deed = $this->deeds->of($docket);
        $isItself = fn (Finding $finding): bool => $finding->tag === BookFinding::PreparedAlready &&
            $finding->with['docket'] === $docket->id;

        return array_map(
            fn (Readiness $readiness): array => array_values(
                array_filter($readiness->inOrder(), fn (Finding $finding): bool => ! $isItself($finding)),
            ),
            Deeds::judgeAll($deed, $this->files->of($nameIds, $now), $docket->terms, $now),
        );
    }
}
