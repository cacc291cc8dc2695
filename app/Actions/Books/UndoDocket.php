<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\Ticked;
use App\Actions\Deeds\Undoable;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\OrderState;
use App\Queries\Names\HeldCase;
use LogicException;

/** Undoes what another docket did in our own books, as far as nobody has changed it since; a docket with a proof like any other. */
final class UndoDocket extends DeedInBooks
{
    /** @var array<int, array<int, DocketLine>> the lines that were done, by docket and name */
    private array $lines = [];

    public function __construct(private readonly Deeds $deeds)
    {
    }

    public static function key(): string
    {
        return 'undo_docket';
    }

    public function terms(array $said): ?array
    {
        $docket = is_numeric($said['docket'] ?? null) ? Docket::query()->find((int) $said['docket']) : null;

        return $docket !== null && $this->deeds->of($docket) instanceof Undoable ? ['docket' => $docket->id] : null;
    }

    public function said(array $terms): array
    {
        return ['docket' => self::number($terms)];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $line = $this->line($file->nameId, $terms);
        $stops = match (true) {
            $line === null => BookFinding::NeverDone,
            $this->undoable($line) instanceof Ticked
                && ($line->seen_on !== null || $line->order?->state === OrderState::Done) => BookFinding::SaidByRegistrar,
            ! $this->undoable($line)->isAsMade($file, $line) => BookFinding::ChangedSince,
            default => null,
        };

        return Readiness::of($stops === null ? [] : [Finding::of($stops, Effect::Stops)], []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        $done = $this->line($file->nameId, $terms) ?? throw new LogicException('It was judged clear without having been done.');
        $this->undoable($done)->undo($file, $done, $line, $now);

        return [];
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $line = $this->line($file->nameId, $terms);

        if ($line === null) {
            return ['before' => [], 'after' => []];
        }
        // What is so now: somebody may have changed it since.
        $today = $this->deeds->of($line->docket)->beforeAndAfter($file, $line->docket->terms)['before'];

        return ['before' => array_intersect_key($today, $line->before ?? []) + ($line->after ?? []), 'after' => $line->before ?? []];
    }

    protected function inWords(array $terms): array
    {
        return ['docket' => (string) self::number($terms)];
    }

    /** @param  array<string, mixed>  $terms */
    private function line(int $nameId, array $terms): ?DocketLine
    {
        $number = self::number($terms);
        if (! isset($this->lines[$number])) {
            $this->lines[$number] = [];
            foreach (
                DocketLine::query()
                    ->where('docket_id', $number)
                    ->where('state', LineState::Done)
                    ->with(['docket', 'order'])
                    ->get() as $line
            ) {
                $this->lines[$number][$line->name_id] = $line;
            }
        }

        return $this->lines[$number][$nameId] ?? null;
    }

    private function undoable(DocketLine $line): Undoable
    {
        $deed = $this->deeds->of($line->docket);

        return $deed instanceof Undoable ? $deed : throw new LogicException("What '{$line->docket->deed}' did can't be undone here.");
    }

    /** @param  array<string, mixed>  $terms */
    private static function number(array $terms): int
    {
        return is_int($terms['docket'] ?? null) ? $terms['docket'] : 0;
    }
}
