<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use App\Actions\Drifts\CompareAgain;
use App\Actions\Gates\GateOrders;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\User;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\Dates;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;

/** Ends lines that are out on their slip: done on a day, refused for a reason, or called off. All or none of what was ticked. */
final readonly class EndLines
{
    /** Of a transaction that another one was in the way of. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private CompareAgain $compare,
        private MakeStandings $standings,
        private CloseDocket $close,
        private TradeClock $clock,
        private HouseLog $log,
        private GateOrders $orders,
    ) {
    }

    /**
     * Whether what a docket wants can have been done on that day.
     *
     * @throws DeedError when it is still to come, or nobody had settled the docket yet
     */
    public static function judgeDay(Docket $docket, Instant $on, Instant $now): void
    {
        if ($on->isAfter($now)) {
            throw DeedError::notYet(Dates::full($on));
        }
        if ($docket->settled_on !== null && $on->isBefore($docket->settled_on->toDay())) {
            throw DeedError::beforeSettled(Dates::full($on), Dates::full($docket->settled_on));
        }
    }

    /**
     * The holding changes in the same transaction.
     *
     * @param  list<int>|null  $lineIds  null: all that are open
     * @param  Instant  $on  the day on which the registrar's page showed it
     * @return int how many were ended; those that somebody else has ended meanwhile are left as they are
     *
     * @throws DeedError when it can't have been done on that day
     */
    public function done(User $user, Docket $docket, ?array $lineIds, Instant $on): int
    {
        $now = $this->clock->now();
        self::judgeDay($docket, $on, $now);
        // Today's are known to the second, so that what follows on the same day follows.
        $at = $on->precision === Precision::Day && $on->agreesWith($now) ? $now : $on;

        $deed = $this->deeds->of($docket);

        return $this->end(
            $user,
            $docket,
            $lineIds,
            [LineState::Begun],
            heard: true,
            ahead: fn (array $files) => $deed instanceof ReadsAhead ? $deed->readAhead($files, $at) : null,
            how: function (DocketLine $line, ?HeldCase $file) use ($deed, $docket, $user, $on, $at): void {
                $deed->complete($line, $file ?? throw DeedError::notHeld($line->name->unicode), $docket->terms, $at);
                $line->fill(['state' => LineState::Done, 'done_on' => $on, 'done_by' => $user->id]);
            },
        );
    }

    /**
     * @param  list<int>|null  $lineIds
     *
     * @throws DeedError without a reason
     */
    public function refused(User $user, Docket $docket, ?array $lineIds, string $reason): int
    {
        if (trim($reason) === '') {
            throw DeedError::noReason();
        }

        return $this->end(
            $user,
            $docket,
            $lineIds,
            [LineState::Begun],
            heard: false,
            how: function (DocketLine $line) use ($docket, $reason): void {
                $this->deeds->of($docket)->abandon($line, $this->clock->now());
                $line->fill(['state' => LineState::Refused, 'reason' => trim($reason)]);
            },
        );
    }

    /**
     * Whatever is still open, but for what a registrar was told and can't take back; a docket that nobody settled yet is called off whole.
     *
     * @param  bool  $onlyWaiting  what has begun goes on
     * @param  list<int>|null  $lineIds  null: all that are open
     */
    public function calledOff(User $user, Docket $docket, bool $onlyWaiting = false, ?array $lineIds = null): int
    {
        return $this->end(
            $user,
            $docket,
            $lineIds,
            $onlyWaiting ? [LineState::Waiting] : LineState::OPEN,
            heard: false,
            keepsTold: true,
            how: function (DocketLine $line) use ($docket): void {
                $this->deeds->of($docket)->abandon($line, $this->clock->now());
                $line->fill(['state' => LineState::CalledOff]);
            },
        );
    }

    /**
     * @param  list<int>|null  $lineIds
     * @param  list<LineState>  $from
     * @param  bool  $heard  only those that wait for nobody's word
     * @param  callable(DocketLine, HeldCase|null): void  $how  without a file where the name was closed in our books meanwhile
     * @param  (callable(list<HeldCase>): mixed)|null  $ahead  called once before
     * @param  bool  $keepsTold  those stay open of which their registrar was told what can't be taken back
     */
    private function end(
        User $user,
        Docket $docket,
        ?array $lineIds,
        array $from,
        bool $heard,
        callable $how,
        ?callable $ahead = null,
        bool $keepsTold = false,
    ): int {
        return $this->database->transaction(function () use ($user, $docket, $lineIds, $from, $heard, $how, $ahead, $keepsTold): int {
            $locked = Docket::query()->lockForUpdate()->findOrFail($docket->id);
            $lines = DocketLine::query()
                ->where('docket_id', $docket->id)
                ->whereIn('state', $from)
                ->when($lineIds !== null, fn ($query) => $query->whereIn('id', $lineIds ?? []))
                ->when($heard, fn ($query) => $query->withoutOpenWord())
                ->orderBy('name_id')
                ->lockForUpdate()
                ->get();
            if ($keepsTold) {
                $lines = $lines->except($this->orders->told(array_values(array_filter($lines->modelKeys(), is_int(...)))));
            }
            Name::query()->whereIn('id', $lines->pluck('name_id'))->orderBy('id')->lockForUpdate()->get();
            $ids = array_map(fn (DocketLine $line): int => $line->name_id, array_values($lines->all()));
            $files = $this->files->held($ids, $this->clock->now());
            if ($ahead !== null && $files !== []) {
                $ahead(array_values($files));
            }
            foreach ($lines as $line) {
                $how($line, $files[$line->name_id] ?? null);
            }
            self::save($lines);
            $this->compare->handle($ids);
            $this->standings->of($ids);
            $this->log->writeMany(
                array_map(
                    fn (DocketLine $line): array => [
                        'event' => $line->state->value,
                        'subject' => 'name',
                        'subject_id' => $line->name_id,
                        'data' => ['docket' => $docket->id],
                    ],
                    array_values($lines->all()),
                ),
                $user->id,
            );
            if ($locked->state === DocketState::Prepared) {
                $locked->update(['state' => DocketState::CalledOff, 'closed_on' => $this->clock->now()]);
                $this->log->write('called_off', 'docket', $docket->id, [], $user->id);
            }
            $this->close->ifAllEnded($docket->id);

            return $lines->count();
        }, self::TRIES);
    }

    /**
     * What became of them is the same for all: one statement.
     *
     * @param  Collection<int, DocketLine>  $lines
     */
    private static function save(Collection $lines): void
    {
        foreach ($lines->groupBy(fn (DocketLine $line): string => json_encode($line->getDirty(), JSON_THROW_ON_ERROR)) as $group) {
            DocketLine::query()
                ->whereKey($group->modelKeys())
                ->update($group->firstOrFail()->getDirty());
        }
    }
}
