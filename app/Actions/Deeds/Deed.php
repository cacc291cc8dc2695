<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Dockets\Slip;
use App\Queries\Names\HeldCase;

/**
 * What a deed must be able to do, so that the next one is one class: read its terms, judge a name, perform a line,
 * complete or abandon what it began, and say what is to be done by hand meanwhile. Dockets, lines, progress, log and
 * proof are the same for all. What is written in our own books alone extends DeedInBooks; what can be taken back is
 * Undoable.
 */
interface Deed
{
    /** Its name in `dockets.deed`, in its address and in lang/en/deeds.php. */
    public static function key(): string;

    /**
     * The terms that were said, in an address or in a form.
     *
     * @param  array<array-key, mixed>  $said
     * @return array<string, mixed>|null as they stand in the docket; null as long as something is to be chosen
     */
    public function terms(array $said): ?array;

    /**
     * The same terms as an address says them.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, string|int>
     */
    public function said(array $terms): array;

    /** @param  array<string, mixed>  $terms  as they stand in the docket */
    public function judge(HeldCase $file, array $terms, Instant $now): Readiness;

    /**
     * Does to one name, that was just judged clear, what the house does by itself. In the line's transaction, the name
     * locked.
     *
     * @param  array<string, mixed>  $terms
     * @param  PendingWrites  $openings  takes what the line opens outside; it is written with the other lines'
     * @return LineState Begun while it waits for something outside, Done when nothing is left to do
     */
    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState;

    /**
     * Writes what is now so. In the line's transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     *
     * @throws DeedError when it can't have been done then
     */
    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void;

    /** Takes back what performing it opened. In the line's transaction. */
    public function abandon(DocketLine $line, Instant $now): void;

    /** @return Slip|null null: nothing is to be done by hand */
    public function slip(Docket $docket): ?Slip;

    /**
     * What it does, for a heading: `Hand 12 names to Wickerby Bell Foundry`.
     *
     * @param  array<string, mixed>  $terms
     */
    public function headline(array $terms, int $names): string;

    /** The deed and its terms in one line, for the proof. */
    public function inOneLine(Docket $docket): string;

    /**
     * What the terms would make of one name, for the proof.
     *
     * @param  array<string, mixed>  $terms
     * @return array{before: array<string, string>, after: array<string, string>}
     */
    public function beforeAndAfter(HeldCase $file, array $terms): array;
}
