<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\EntryKind;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Models\Name;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;

/** What becomes of names whose charge is refused: when they end, go dark, and cost more. Of their present term alone. */
final readonly class Refusals
{
    /** Rows for which this is worked out. */
    private const MOST = 30;

    public function __construct(private CaseFiles $files, private Rulebook $book, private TradeClock $clock)
    {
    }

    /**
     * @param  list<AlmanacRow>  $rows
     * @return array<string, Refusal> by the first name of a row
     */
    public function of(array $rows): array
    {
        $refused = [];
        foreach ($rows as $row) {
            $charge = $row->entries[0]->charge;
            if ($row->kind() === EntryKind::Refused && $charge !== null && count($refused) < self::MOST) {
                $refused[$charge->name] ??= $charge->ends;
            }
        }
        if ($refused === []) {
            return [];
        }
        $now = $this->clock->now();
        /** @var list<int> $ids */
        $ids = Name::query()->whereIn('ascii', array_keys($refused))->pluck('id')->all();
        $found = [];
        foreach ($this->files->held($ids, $now) as $file) {
            $ends = $refused[$file->facts->name->ascii] ?? null;
            if ($ends !== null && $file->facts->ends?->agreesWith($ends) === true) {
                $found[$file->facts->name->ascii] = $this->one($file, $now);
            }
        }

        return $found;
    }

    private function one(HeldCase $file, Instant $now): Refusal
    {
        $life = $file->life($this->book, $now);
        $ends = $file->facts->ends ?? $now;
        $plain = $life->event(EventKind::LastPlain)?->at;

        return new Refusal(
            $ends,
            $life->event(EventKind::Dark)->at ?? $ends,
            $plain,
            $life->event(EventKind::LastAtAll)?->at,
            $file->late->late,
        );
    }
}
