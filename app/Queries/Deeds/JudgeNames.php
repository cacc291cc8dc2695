<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Movement\Account;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Deeds;
use App\Actions\Handover\JudgeHandover;
use App\Actions\Registrants\RegistrantChosen;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;

/** The live verdicts of the handover's page: what stands there before anything is written. */
final readonly class JudgeNames
{
    public function __construct(private CaseFiles $files, private JudgeHandover $judge)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @param  Account|null  $receiver  null: not chosen yet
     * @param  RegistrantChosen|null  $registrant  null: each keeps its own
     * @return list<JudgedName> grouped by giving account
     */
    public function handle(array $nameIds, ?Account $receiver, Instant $answerBy, Instant $now, ?RegistrantChosen $registrant = null): array
    {
        $judged = array_map(
            fn (RollCase $file): JudgedName => new JudgedName(
                $file,
                $file instanceof HeldCase
                    ? $this->judge->handle($file, $receiver, $answerBy, $registrant, $now)->with($file->preparedAlready())
                    : Deeds::onlyWatched(),
            ),
            array_values($this->files->of($nameIds, $now)),
        );
        $order = array_flip(array_values(array_unique(array_map(fn (JudgedName $one): int => $one->giver(), $judged))));
        usort($judged, fn (JudgedName $a, JudgedName $b): int => $order[$a->giver()] <=> $order[$b->giver()]);

        return $judged;
    }
}
