<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\Undoable;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Queries\Names\HeldCase;
use App\Support\Dates;

/** Names were renewed at their registrar, for so many years: their new end is recorded. Nothing is renewed or paid by it. */
final class RecordRenewal extends DeedInBooks implements Undoable
{
    private const MOST = 10;

    public function __construct(private readonly Rulebook $book)
    {
    }

    public static function key(): string
    {
        return 'record_renewal';
    }

    /** One year where nobody says otherwise, so that it takes one press. */
    public function terms(array $said): ?array
    {
        $years = $said['years'] ?? 1;
        $years = is_numeric($years) ? (int) $years : 0;

        return $years < 1 || $years > self::MOST ? null : ['years' => $years];
    }

    public function said(array $terms): array
    {
        return ['years' => self::years($terms)];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $life = $file->life($this->book, $now);
        $ends = self::newEnd($file, $terms);
        $findings = match (true) {
            $ends === null => [Finding::of(BookFinding::NoEnd, Effect::Stops)],
            $life->rescue() !== Rescue::Renew && ! $life->mayBeRenewed() => [Finding::of(BookFinding::RestoreFirst, Effect::Stops)],
            ! $ends->isAfter($now) => [Finding::of(BookFinding::StillOver, Effect::Stops, null, until: $ends)],
            $ends->isAfter($now->plusYears($life->rules->yearsAhead->value)) => [
                Finding::of(BookFinding::TooFarAhead, Effect::Worth, null, until: $ends, years: $life->rules->yearsAhead->value),
            ],
            default => [],
        };

        return Readiness::of($findings, []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        self::put($file, self::newEnd($file, $terms), $line, $now);

        return ['ends' => $file->facts->ends?->iso(), 'after' => self::newEnd($file, $terms)?->iso()];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return $file->facts->ends?->iso() === ($line->was['after'] ?? null);
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $was = $line->was['ends'] ?? null;
        self::put($file, is_string($was) ? Instant::of($was) : null, $by, $now);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $ends = self::newEnd($file, $terms);

        return [
            'before' => ['ends' => $file->facts->ends === null ? '' : Dates::full($file->facts->ends)],
            'after' => ['ends' => $ends === null ? '' : Dates::full($ends)],
        ];
    }

    protected function inWords(array $terms): array
    {
        $said = trans_choice('deeds.record_renewal.years', self::years($terms));

        return ['years' => $said];
    }

    /** @param  array<string, mixed>  $terms */
    private static function newEnd(HeldCase $file, array $terms): ?Instant
    {
        return $file->facts->ends === null ? null : Term::extend($file->facts->created, $file->facts->ends, 12 * self::years($terms));
    }

    private static function put(HeldCase $file, ?Instant $ends, DocketLine $line, Instant $now): void
    {
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        $registration->ends_on = $ends;
        $registration->version++;
        $registration->sources = [
            ...$registration->sources,
            'ends_on' => ['from' => 'docket', 'docket' => $line->docket_id, 'at' => $now->date()],
        ];
        $registration->save();
    }

    /** @param  array<string, mixed>  $terms */
    private static function years(array $terms): int
    {
        return is_int($terms['years'] ?? null) ? $terms['years'] : 1;
    }
}
