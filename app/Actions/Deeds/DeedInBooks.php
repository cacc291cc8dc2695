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
use App\Queries\Names\CaseFile;

/** A deed that is written in our own books and is done with that: nobody outside is asked, and nothing waits. */
abstract class DeedInBooks implements Deed
{
    /**
     * Writes it for one name. In the line's transaction, the name locked.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, mixed> what the name was before, for undoing it
     */
    abstract protected function write(DocketLine $line, CaseFile $file, array $terms, Instant $now): array;

    /**
     * What its form offers, by what it is called.
     *
     * @return array<int|string, string>
     */
    public function choices(): array
    {
        return [];
    }

    public function perform(DocketLine $line, CaseFile $file, Readiness $readiness, array $terms, Instant $now): LineState
    {
        $line->was = $this->write($line, $file, $terms, $now);

        return LineState::Done;
    }

    public function complete(DocketLine $line, CaseFile $file, array $terms, Instant $on): void
    {
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
    }

    public function slip(Docket $docket): ?Slip
    {
        return null;
    }

    public function headline(array $terms, int $names): string
    {
        $said = trans_choice('deeds.'.static::key().'.headline', $names, ['names' => number_format($names), ...$this->inWords($terms)]);

        return $said;
    }

    public function inOneLine(Docket $docket): string
    {
        $said = __('deeds.'.static::key().'.one_line', $this->inWords($docket->terms));

        return is_string($said) ? $said : static::key();
    }

    /**
     * The terms as the words of its heading need them.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, string>
     */
    abstract protected function inWords(array $terms): array;

    protected static function alreadySo(bool $isSo): Readiness
    {
        return Readiness::of($isSo ? [Finding::of(BookFinding::AlreadySo, Effect::Stops)] : [], []);
    }
}
