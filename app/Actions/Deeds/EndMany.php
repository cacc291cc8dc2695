<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Actions\Setbacks\SetAside;
use App\Jobs\EndDocketLines;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Ending;
use App\Models\LineState;
use App\Models\SetbackKind;
use App\Models\User;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Builder;

/** Ends many lines: a few at once, more in the queue, some a transaction; killed anywhere, it goes on where it was. */
final readonly class EndMany
{
    /** Lines that a person waits for. */
    public const AT_ONCE = 200;

    private const TOGETHER = 100;

    public function __construct(private Connection $database, private EndLines $end, private SetAside $aside, private TradeClock $clock)
    {
    }

    /**
     * @param  'done'|'refused'|'called_off'|'waiting_called_off'  $how
     * @param  list<int>|null  $lineIds  null: all that are open
     * @param  Instant|null  $on  the day on which it was done
     * @return int|null how many were ended; null: they are being ended
     *
     * @throws DeedError as EndLines does
     */
    public function handle(User $user, Docket $docket, string $how, ?array $lineIds = null, ?Instant $on = null, string $reason = ''): ?int
    {
        if (count($lineIds ?? []) <= self::AT_ONCE && ($lineIds !== null || $this->open($docket, $how)->count() <= self::AT_ONCE)) {
            return $this->end($user, $docket, $how, $lineIds, $on, $reason);
        }
        if ($how === 'refused' && trim($reason) === '') {
            throw DeedError::noReason();
        }
        if ($on !== null) {
            EndLines::judgeDay($docket, $on, $this->clock->now());
        }
        $ending = Ending::query()->create([
            'docket_id' => $docket->id,
            'user_id' => $user->id,
            'how' => $how,
            'done_on' => $how === 'done' ? $on : null,
            'reason' => $how === 'refused' ? $reason : null,
            'lines' => $lineIds === null ? null : '{'.implode(',', $lineIds).'}',
        ]);
        EndDocketLines::dispatch($ending->id);

        return null;
    }

    public function goOn(int $endingId): void
    {
        if ($this->database->scalar('SELECT pg_try_advisory_lock(7307, ?)', [$endingId]) !== true) {
            return;
        }
        try {
            $ending = Ending::query()
                ->with(['user', 'docket'])
                ->whereNull('ended_at')
                ->find($endingId);
            if ($ending !== null) {
                $this->aside->attempt(
                    SetbackKind::Docket,
                    $ending->docket_id,
                    fn () => $this->chunks($ending),
                    docketId: $ending->docket_id,
                );
            }
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(7307, ?)', [$endingId]);
        }
    }

    /** Those whose job was lost with its worker. */
    public function sweep(): void
    {
        foreach (Ending::query()->whereNull('ended_at')->orderBy('id')->pluck('id') as $id) {
            EndDocketLines::dispatch(is_int($id) ? $id : 0);
        }
    }

    private function chunks(Ending $ending): void
    {
        $failure = null;
        $after = 0;
        do {
            $some = array_values(
                array_filter(
                    $this->open($ending->docket, $ending->how)
                        ->where('id', '>', $after)
                        ->when($ending->lines !== null, fn ($lines) => $lines->whereRaw('id = ANY (?::bigint[])', [$ending->lines]))
                        ->orderBy('id')
                        ->limit(self::TOGETHER)
                        ->pluck('id')
                        ->all(),
                    is_int(...),
                ),
            );
            $after = $some[count($some) - 1] ?? 0;
            try {
                if ($some !== []) {
                    $this->end($ending->user, $ending->docket, $ending->how, $some, $ending->done_on?->toDay(), $ending->reason ?? '');
                }
            } catch (DeedError $e) {
                $failure = $e->getMessage();
            }
        } while (count($some) === self::TOGETHER);
        $ending->update(['ended_at' => gmdate('c'), 'failure' => $failure]);
    }

    /** @return Builder<DocketLine> */
    private function open(Docket $docket, string $how): Builder
    {
        return DocketLine::query()
            ->where('docket_id', $docket->id)
            ->whereIn(
                'state',
                match ($how) {
                    'called_off' => LineState::OPEN,
                    'waiting_called_off' => [LineState::Waiting],
                    default => [LineState::Begun],
                },
            );
    }

    /** @param  list<int>|null  $lineIds */
    private function end(User $user, Docket $docket, string $how, ?array $lineIds, ?Instant $on, string $reason): int
    {
        return match ($how) {
            'refused' => $this->end->refused($user, $docket, $lineIds, $reason),
            'called_off', 'waiting_called_off' => $this->end->calledOff($user, $docket, $how === 'waiting_called_off', $lineIds),
            default => $this->end->done($user, $docket, $lineIds, $on ?? $this->clock->today()),
        };
    }
}
