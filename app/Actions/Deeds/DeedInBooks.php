<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Dockets\Slip;
use App\Queries\Names\HeldCase;

/** A deed that is written in our own books and is done with that: nobody outside is asked, and nothing waits. */
abstract class DeedInBooks implements HasPage
{
    use SaysItself;

    /**
     * Writes it for one name. In the line's transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, mixed> what the name was before, for undoing it
     */
    abstract protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array;

    public function choices(): array
    {
        return [];
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $line->was = $this->write($line, $file, $terms, $now);

        return LineState::Done;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
    }

    public function slip(Docket $docket): ?Slip
    {
        return null;
    }

    protected static function alreadySo(bool $isSo): Readiness
    {
        return Readiness::of($isSo ? [Finding::of(BookFinding::AlreadySo, Effect::Stops)] : [], []);
    }
}
