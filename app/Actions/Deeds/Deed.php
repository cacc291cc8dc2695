<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Queries\Dockets\Slip;
use App\Queries\Names\CaseFile;

/**
 * What a deed must be able to do, so that the next one is one class: judge a name, begin it, complete it, and say what
 * is to be done by hand meanwhile. Dockets, lines, progress, log and proof are the same for all.
 */
interface Deed
{
    /** Its name in `dockets.deed` and in lang/en/deeds.php. */
    public static function key(): string;

    /** @param  array<string, mixed>  $terms  as they stand in the docket */
    public function judge(CaseFile $file, array $terms, Instant $now): Readiness;

    /**
     * Opens it for one name that was just judged clear. In the line's transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     */
    public function begin(DocketLine $line, CaseFile $file, Readiness $readiness, array $terms, Instant $now): void;

    /**
     * Writes what is now so. In the line's transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     *
     * @throws DeedError when it can't have been done then
     */
    public function complete(DocketLine $line, CaseFile $file, array $terms, Instant $on): void;

    /** Takes back what beginning it opened. In the line's transaction. */
    public function abandon(DocketLine $line, Instant $now): void;

    public function slip(Docket $docket): Slip;

    /** The deed and its terms in one line, for the proof. */
    public function inOneLine(Docket $docket): string;

    /**
     * What the terms would make of one name, for the proof.
     *
     * @param  array<string, mixed>  $terms
     * @return array{before: array<string, string>, after: array<string, string>}
     */
    public function beforeAndAfter(CaseFile $file, array $terms): array;
}
