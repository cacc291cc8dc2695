<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Record\Record;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\EndsOutside;
use App\Actions\Deeds\SeenOutside;
use App\Jobs\EndSeenLine;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Builder;

/** Notes of what was done at a registrar that the public record shows it. */
final readonly class ConfirmLines
{
    /** Days in which a record is looked at for it. */
    private const DAYS = 30;

    public function __construct(private Connection $database, private Deeds $deeds, private HouseLog $log)
    {
    }

    /** @return Instant|null when the last of what is still to be seen was done; null: nothing is */
    public function handle(int $nameId, ?Record $record, Instant $now): ?Instant
    {
        $waits = null;
        $lines = DocketLine::query()
            ->with('docket')
            ->where('name_id', $nameId)
            ->where(fn (Builder $open) => $open
                ->where('state', LineState::Begun)
                ->orWhere(fn (Builder $done) => $done
                    ->where('state', LineState::Done)
                    ->whereNull('seen_on')
                    ->where('done_on', '>=', $now->plusDays(-self::DAYS)->isoSecond())))
            ->get();
        foreach ($lines as $line) {
            $deed = $this->deeds->of($line->docket);
            if ($line->state === LineState::Begun) {
                if ($deed instanceof EndsOutside && $record !== null && $deed->isSeen($line, $line->docket->terms, $record)) {
                    // In a transaction of its own, as dockets are locked before names.
                    $this->database->afterCommit(fn () => EndSeenLine::dispatch($line->id));
                }

                continue;
            }
            if (! ($deed instanceof SeenOutside)) {
                continue;
            }
            if ($record !== null && $deed->isSeen($line, $line->docket->terms, $record)) {
                $line->update(['seen_on' => $now]);
                $this->log->write('seen_outside', 'name', $nameId, ['docket' => $line->docket_id]);
            } else {
                $done = $line->done_on ?? $now;
                $waits = $waits === null ? $done : Instant::latest($waits, $done);
            }
        }

        return $waits;
    }
}
