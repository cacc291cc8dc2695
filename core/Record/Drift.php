<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Contact\Field;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;

/** One disagreement between the Roll and what the outside said, and how sure it is. */
final readonly class Drift
{
    /** Days after which what was seen is taken for old: the house's own choice, no rule of the trade. */
    private const OLD = 21;

    /** Days within which a directory shows what a registrar was told of a holder (common practice: some days). */
    private const SHOWS = 5;

    /** Days within which a registrar that renews by itself has done so, and says it (common practice: a day or two). */
    private const PAID = 2;

    /** Seconds within which what was done at a registrar is seen elsewhere (common practice: up to twenty minutes). */
    public const LAG = 1_200;

    /** What comes and goes by itself with the dates, and is no disagreement. */
    private const PASSING = [
        Status::Ok,
        Status::Inactive,
        Status::AddPeriod,
        Status::AutoRenewPeriod,
        Status::RenewPeriod,
        Status::TransferPeriod,
        Status::PendingUpdate,
        Status::PendingRenew,
        Status::PendingCreate,
    ];

    /**
     * @param  bool  $isExpected  whether the name was meant to lapse, and its end has passed: then nothing that registries do with it
     *     alarms anybody
     * @param  bool  $needsSecondLook  whether it was said so oddly that one look proves nothing
     */
    private function __construct(
        public Finding $finding,
        public RecordFinding $tag,
        public Certainty $certainty,
        private bool $isExpected,
        public bool $needsSecondLook,
    ) {
    }

    /**
     * @param  list<Seen>  $seen  the last word of each source, with what it came to
     * @return list<self> dearest first
     */
    public static function between(Held $held, array $seen, Instant $now): array
    {
        $registrys = self::last($seen, true);
        $registrars = self::last($seen, false);
        if ($registrys === null) {
            return [];
        }
        if ($registrys->record === null) {
            return [self::of(RecordFinding::NotInDirectory, $held, $registrys, null, $now)];
        }
        $record = $registrys->record;
        $drifts = [
            ...self::registrar($held, $record, $registrys, $now),
            ...self::statuses($held, $record, $registrys, $now),
            ...self::lock($held, $record, $registrys, $now),
            ...self::end($held, $record, $registrys, $registrars, $now),
            ...self::created($held, $record, $registrys, $now),
            ...self::servers($held, $record, $registrys, $registrars?->record, $now),
            ...self::holder($held, $record->holder === [] && $registrars?->record !== null ? $registrars : $registrys, $now),
        ];
        if ($record->validated === false) {
            $drifts[] = self::of(RecordFinding::HolderDoubted, $held, $registrys, null, $now);
        }
        $drifts = array_values(
            array_filter(
                $drifts,
                fn (self $drift): bool => ! self::isNotYetSeen($held->writtenAt[$drift->tag->about()->value] ?? null, $registrys->at),
            ),
        );
        usort(
            $drifts,
            fn (self $a, self $b): int => [$a->cost()->value, $a->finding->instant()] <=> [$b->cost()->value, $b->finding->instant()],
        );

        return $drifts;
    }

    /** @return list<self> */
    private static function registrar(Held $held, Record $record, Seen $seen, Instant $now): array
    {
        if (
            ($record->registrar === null && $record->tag === null) ||
            $held->isBehind($record->registrar, $record->tag, $record->registrarId)
        ) {
            return [];
        }

        return [
            self::of(
                RecordFinding::OtherRegistrar,
                $held,
                $seen,
                null,
                $now,
                held: $held->registrar,
                seen: $record->registrar ?? (string) $record->tag,
            ),
        ];
    }

    /** @return list<self> */
    private static function statuses(Held $held, Record $record, Seen $seen, Instant $now): array
    {
        if (! $record->saysStatuses()) {
            return [];
        }
        $drifts = [];
        // The lock has a fact of its own.
        $beside = [...self::PASSING, Status::ClientTransferProhibited];
        // Past its end a name goes dark by itself: its phase tells that, and a hold is no alarm.
        $isLate = $held->facts->ends !== null && $held->facts->ends->hasComeAt($now);
        foreach ($record->statuses as $status) {
            // In redemption a name is pending delete as well (RFC 3915 §3.1), which says nothing more of it.
            if (
                $held->facts->isWritten($status) ||
                in_array($status, $beside, true) ||
                ($status === Status::PendingDelete && $record->has(Status::RedemptionPeriod))
            ) {
                continue;
            }
            $drifts[] = match (true) {
                $status === Status::RedemptionPeriod && ! $isLate => self::of(RecordFinding::Deleted, $held, $seen, null, $now),
                $status === Status::PendingDelete && ! $isLate && ! $held->facts->isWritten(Status::RedemptionPeriod) => self::of(
                    RecordFinding::FallsFree,
                    $held,
                    $seen,
                    null,
                    $now,
                ),
                $status === Status::PendingTransfer => $held->isMoving
                    ? null
                    : self::of(RecordFinding::TransferNotOurs, $held, $seen, null, $now),
                $status === Status::ServerHold && ! $isLate => self::of(RecordFinding::HeldByRegistry, $held, $seen, null, $now),
                $status === Status::ClientHold && ! $isLate => self::of(RecordFinding::HeldByRegistrar, $held, $seen, null, $now),
                default => self::of(RecordFinding::StatusSeen, $held, $seen, null, $now, status: $status->value),
            };
        }
        foreach ($held->facts->statuses as $status) {
            if (! $record->has($status) && ! in_array($status, $beside, true)) {
                $drifts[] = self::of(RecordFinding::StatusGone, $held, $seen, null, $now, status: $status->value);
            }
        }

        return array_values(array_filter($drifts));
    }

    /** @return list<self> */
    private static function lock(Held $held, Record $record, Seen $seen, Instant $now): array
    {
        // A registry that moves names by tag or has no lock says `ok` and nothing more: that proves no lock off.
        if (! $record->saysStatuses() || $record->tag !== null) {
            return [];
        }
        $isOn = $record->has(Status::ClientTransferProhibited);

        return match (true) {
            $held->facts->isLocked() && ! $isOn => [self::of(RecordFinding::LockIsOff, $held, $seen, null, $now)],
            $held->facts->lock === Lock::Off && $isOn => [self::of(RecordFinding::LockIsOn, $held, $seen, null, $now)],
            $held->facts->lock === Lock::NotKnown && ! $held->facts->isLocked() => [
                self::of(RecordFinding::LockNotWritten, $held, $seen, null, $now, seen: $isOn ? Lock::On->value : Lock::Off->value),
            ],
            default => [],
        };
    }

    /** @return list<self> */
    private static function end(Held $held, Record $record, Seen $seen, ?Seen $registrars, Instant $now): array
    {
        $here = $held->facts->ends;
        $there = $record->paidUntil($held->leastMonths);
        // Counted from the first day on, a term that began on 29 February ends on that day again: backwards from its end it wouldn't.
        if (
            $here !== null &&
            $there !== null &&
            $there !== $record->ends &&
            $record->ends !== null &&
            Term::extend($held->facts->created, $here, $held->leastMonths)->compare($record->ends) === 0
        ) {
            $there = $here;
        }
        $isDeleted = Status::proven($record->statuses)?->isDeleted() === true;
        $paid = $registrars?->record?->paid;
        if ($registrars !== null && $paid !== null && $here !== null && ! $isDeleted) {
            if ($here->compare($paid) < 0 && $record->ends?->isBefore($paid->toDay()) === false) {
                return [self::of(RecordFinding::Renewed, $held, $seen, null, $now, held: $here, seen: $paid)];
            }
            if ($paid->toDay()->plusDays(self::PAID)->hasComeAt($registrars->at)) {
                if ($held->facts->intent === Intent::ByItself && $here->compare($paid) === 0) {
                    return [self::of(RecordFinding::NotRenewed, $held, $registrars, null, $now, seen: $paid)];
                }
                // Recorded as the registry has it, which may take that year back.
                if ($record->has(Status::AutoRenewPeriod) && $here->compare($paid) > 0) {
                    return [self::of(RecordFinding::EndsSooner, $held, $registrars, null, $now, held: $here, seen: $paid)];
                }
            }
        }
        // In the grace the registry's own end is as right: whoever wrote it down looked there.
        if (
            $there === null ||
            ($here !== null && ($here->compare($there) === 0 || ($record->ends !== null && $here->compare($record->ends) === 0)))
        ) {
            return [];
        }
        // Deleted in the grace of a renewal that was by itself, a name may stand a year ahead until it is gone: nobody renewed it.
        if ($here !== null && $there->isAfter($here) && $isDeleted) {
            return [];
        }
        if ($here === null) {
            return [self::of(RecordFinding::EndNotWritten, $held, $seen, null, $now, seen: $there)];
        }
        $own = $registrars?->record?->ends;
        $agrees = $own === null ? null : $own->compare($here) !== 0;

        return [
            self::of(
                $there->isBefore($here) ? RecordFinding::EndsSooner : RecordFinding::EndsLater,
                $held,
                $seen,
                $agrees,
                $now,
                held: $here,
                seen: $there,
            ),
        ];
    }

    /** @return list<self> */
    private static function created(Held $held, Record $record, Seen $seen, Instant $now): array
    {
        [$here, $there] = [$held->facts->created, $record->created];
        if ($there === null || ($here !== null && $here->compare($there) === 0)) {
            return [];
        }

        return [
            $here === null
                ? self::of(RecordFinding::CreatedNotWritten, $held, $seen, null, $now, seen: $there)
                : self::of(RecordFinding::CreatedDiffers, $held, $seen, null, $now, held: $here, seen: $there),
        ];
    }

    /** @return list<self> */
    private static function servers(Held $held, Record $record, Seen $seen, ?Record $registrars, Instant $now): array
    {
        if ($record->servers === null || self::sorted($record->servers) === self::sorted($held->servers)) {
            return [];
        }
        if ($held->servers === []) {
            return [self::of(RecordFinding::ServersNotWritten, $held, $seen, null, $now, seen: implode(' ', $record->servers))];
        }
        $agrees = $registrars?->servers === null ? null : self::sorted($registrars->servers) !== self::sorted($held->servers);

        return [
            self::of(
                RecordFinding::ServersChanged,
                $held,
                $seen,
                $agrees,
                $now,
                held: implode(' ', $held->servers),
                seen: $record->servers === [] ? '—' : implode(' ', $record->servers),
            ),
        ];
    }

    /** @return list<self> */
    private static function holder(Held $held, Seen $seen, Instant $now): array
    {
        if ($held->published === null || $seen->record === null || $seen->record->holder === []) {
            return [];
        }
        $apart = RecordDifference::between($held->published, $seen->record);
        $whose = [Field::Name, Field::Organisation];
        $names = array_filter($apart->other, fn (Field $field): bool => in_array($field, $whose, true));
        // It was the one of our books, and is another: then the book is not what is wrong.
        $isChanged =
            $names !== [] &&
            $seen->before !== null &&
            array_filter($whose, fn (Field $field): bool => $seen->before->field($field)->value !== null) !== [] &&
            array_filter(
                RecordDifference::between($held->published, $seen->before)->other,
                fn (Field $field): bool => in_array($field, $whose, true),
            ) === [];
        $drifts = [];
        foreach (
            [
                [$isChanged ? RecordFinding::HolderChanged : RecordFinding::HolderDiffers, $apart->other],
                [RecordFinding::ShownMore, $held->isTold ? $apart->shown : []],
                [RecordFinding::HiddenMore, $held->isTold ? $apart->hidden : []],
            ] as [$tag, $fields]
        ) {
            $written = $held->writtenAt[$tag->about()->value] ?? null;
            if ($fields !== [] && $written?->plusDays(self::SHOWS)->isAfter($seen->at) !== true) {
                $drifts[] = self::of(
                    $tag,
                    $held,
                    $seen,
                    null,
                    $now,
                    fields: implode(', ', array_map(fn (Field $field): string => $field->value, $fields)),
                );
            }
        }

        return $drifts;
    }

    /**
     * @param  bool|null  $second  whether the registrar's own directory says as the registry does; null: it says nothing of it
     */
    private static function of(RecordFinding $tag, Held $books, Seen $word, ?bool $second, Instant $now, Instant|string ...$with): self
    {
        $written = $books->writtenAt[$tag->about()->value] ?? null;
        $certainty = match (true) {
            $written !== null && $word->at->isBefore($written), $word->at->plusDays(self::OLD)->isBefore($now) => Certainty::Stale,
            $second === false => Certainty::Split,
            default => Certainty::Sure,
        };

        $isExpected = $books->facts->intent === Intent::Lapse && $books->facts->ends?->hasComeAt($now) === true && $tag->belongsToLapsing();

        return new self(
            Finding::of($tag, Effect::Worth, null, ...$with),
            $tag,
            $certainty,
            $isExpected,
            ($tag === RecordFinding::NotInDirectory && ! $word->isPlain) ||
                ($tag === RecordFinding::ServersChanged && $word->record?->servers === []),
        );
    }

    /** Whether it is told at once. */
    public function isAlarming(): bool
    {
        return $this->tag->isAlarming() && ! $this->isExpected;
    }

    /** What it costs, if nobody does anything. */
    public function cost(): Cost
    {
        return $this->isExpected ? Cost::Attention : $this->tag->cost();
    }

    /**
     * Whether what is written was done a moment before it was looked for: of what is only typed or brought in, no more than the day is
     * kept.
     */
    private static function isNotYetSeen(?Instant $written, Instant $seen): bool
    {
        return $written?->precision === Precision::Second && $seen->epoch >= $written->epoch && $seen->epoch - $written->epoch < self::LAG;
    }

    /**
     * @param  list<string>  $hosts
     * @return list<string>
     */
    private static function sorted(array $hosts): array
    {
        sort($hosts);

        return $hosts;
    }

    /** @param  list<Seen>  $seen */
    private static function last(array $seen, bool $registrys): ?Seen
    {
        $last = null;
        foreach ($seen as $one) {
            if (
                $one->source->isRegistrys() === $registrys &&
                $one->source !== Source::Dns &&
                ($last === null || $one->at->isAfter($last->at))
            ) {
                $last = $one;
            }
        }

        return $last;
    }
}
