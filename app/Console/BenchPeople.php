<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Rulebook\Rulebook;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Registrar\ChangeDisclosure;
use App\Models\Contact;
use App\Models\Pattern as PatternRow;
use App\Models\Role;
use App\Models\User;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;

/** Measures who stands behind names: records, disclosure of many, the board and the lists of contacts as the Roll grows, rings. */
final class BenchPeople extends Command
{
    private const RUNS = 9;

    private const NAMES = 1_000;

    private const RECORDS = 60_000;

    protected $signature = 'acre:bench-people';

    protected $description = 'Measure contacts, disclosure and verification on a temporary database';

    public function handle(Rulebook $book, TradeClock $clock, CaseFiles $files, Deeds $deeds): int
    {
        $now = $clock->now();
        $contact = Contact::query()->with('today.mailbox')->firstOrFail();
        $holder = $contact->today->value($contact->kind);
        $patterns = array_values(array_map(fn (PatternRow $row): Pattern => $row->value(), PatternRow::query()->get()->all()));
        $rules = array_map(fn (string $suffix) => $book->for($suffix, $now)->published->value, ['com', 'uk', 'de', 'fr', 'us']);
        $took = $this->median(function () use ($holder, $patterns, $rules): void {
            for ($at = 0; $at < self::RECORDS; $at++) {
                PublishedRecord::of($holder, $patterns[$at % count($patterns)], $rules[$at % 5], $at % 7 === 0);
            }
        });
        $this->line(sprintf('published records: %s a second', number_format((self::RECORDS / $took) * 1_000)));
        $this->disclosure($files, $deeds, $clock);

        return self::SUCCESS;
    }

    private function disclosure(CaseFiles $files, Deeds $deeds, TradeClock $clock): void
    {
        $ids = array_map(
            fn (Row $row): int => $row->int('name_id'),
            Row::all(DB::select('SELECT name_id FROM standings ORDER BY name_id LIMIT ?', [self::NAMES])),
        );
        $deed = $deeds->named(ChangeDisclosure::key());
        $terms = $deed->terms(['pattern' => PatternRow::query()->orderByDesc('id')->firstOrFail()->id, 'consent' => 'yes']) ?? [];
        $took = $this->median(function () use ($ids, $files, $deed, $terms, $clock): void {
            $now = $clock->now();
            $read = array_values($files->held($ids, $now));
            array_map(fn (HeldCase $file): mixed => Deeds::judge($deed, $file, $terms, $now), $read);
            if ($deed instanceof ChangeDisclosure) {
                $deed->picture($read, $terms, $now);
            }
        }, 5);
        $this->line(sprintf('disclosure of %s names, all verdicts and the drawing: %d ms', number_format(self::NAMES), $took));
        $this->work($ids, $terms, $clock);
    }

    /**
     * The house's own part: recorded, begun name by name, and recorded again as done. What registrars take beside is theirs.
     *
     * @param  list<int>  $ids
     * @param  array<string, mixed>  $terms
     */
    private function work(array $ids, array $terms, TradeClock $clock): void
    {
        Queue::fake();
        $steward = User::query()->where('role', Role::Steward)->firstOrFail();
        $from = hrtime(true);
        $docket = app(PrepareDocket::class)->handle($steward, (string) Str::uuid(), ChangeDisclosure::key(), $ids, $terms, $ids);
        app(SettleDocket::class)->handle($steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $begun = (hrtime(true) - $from) / 1e9;
        $done = app(EndLines::class)->done($steward, $docket, null, $clock->today());
        $this->line(
            sprintf(
                'disclosure of %s names, the work: begun in %.1f s, %s of them done in %.1f s more',
                number_format(count($ids)),
                $begun,
                number_format($done),
                (hrtime(true) - $from) / 1e9 - $begun,
            ),
        );
    }

    /** @return float milliseconds */
    private function median(callable $run, int $runs = self::RUNS): float
    {
        $times = [];
        for ($at = 0; $at < $runs; $at++) {
            $from = hrtime(true);
            $run();
            $times[] = (hrtime(true) - $from) / 1e6;
        }
        sort($times);

        return $times[intdiv($runs, 2)];
    }
}
