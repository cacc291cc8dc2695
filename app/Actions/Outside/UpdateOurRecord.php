<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\Undoable;
use App\Models\DocketLine;
use App\Models\DriftState;
use App\Models\Registration;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use App\View\Words;

/** What was seen outside is written into the Roll, with where it was seen and when. */
final class UpdateOurRecord extends DeedInBooks implements Undoable
{
    use SettlesDrift;

    private const COLUMNS = ['created_on', 'created_is_day', 'ends_on', 'ends_is_day', 'statuses', 'deleted_since', 'lock', 'servers'];

    public function __construct(private readonly Words $words)
    {
    }

    public static function key(): string
    {
        return 'update_our_record';
    }

    public function terms(array $said): ?array
    {
        $what = $this->what($said);

        return $what === null ? null : ['what' => $what];
    }

    public function said(array $terms): array
    {
        return ['what' => is_string($terms['what'] ?? null) ? $terms['what'] : self::ALL];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $drifts = $this->drifts($file, $terms);
        $unsure = array_filter($drifts, fn (OpenDrift $drift): bool => $drift->certainty !== Certainty::Sure);

        return Readiness::of(
            match (true) {
                $drifts === [] => [Finding::of(BookFinding::NothingSeen, Effect::Stops)],
                $unsure !== [] => [Finding::of(BookFinding::SeenUnsurely, Effect::Worth)],
                default => [],
            },
            [],
        );
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        $was = array_intersect_key($registration->getRawOriginal(), array_flip(self::COLUMNS));
        $drifts = $this->drifts($file, $terms);
        $sources = $registration->sources;
        $statuses = $registration->statuses;
        foreach ($drifts as $drift) {
            self::put($registration, $drift);
            $sources[$drift->tag->about()->value] = ['from' => 'directory', 'docket' => $line->docket_id, 'at' => $drift->seen->date()];
        }
        if ($registration->statuses !== $statuses) {
            $registration->deleted_since = $this->deletedSince($registration, $file, $drifts);
        }
        $registration->sources = $sources;
        $registration->version++;
        $registration->save();

        return [
            'columns' => $was,
            'after' => array_intersect_key($registration->getAttributes(), array_flip(self::COLUMNS)),
            'drifts' => $this->settle($drifts, DriftState::Taken, ['settled_at' => $now->isoSecond(), 'docket_id' => $line->docket_id]),
        ];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        $after = $line->was['after'] ?? null;

        return is_array($after) && self::alike(Registration::query()->findOrFail($file->registrationId), $after);
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $was = is_array($line->was['columns'] ?? null) ? $line->was['columns'] : [];
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        Registration::query()
            ->whereKey($registration->id)
            ->toBase()
            ->update([...array_intersect_key($was, array_flip(self::COLUMNS)), 'version' => $registration->version + 1]);
        $this->open($line->was['drifts'] ?? []);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $before = $after = [];
        foreach ($this->drifts($file, $terms) as $drift) {
            $key = $drift->tag->about()->value.($drift->tag->about() === DriftField::Statuses ? " {$drift->id}" : '');
            [$before[$key], $after[$key]] = $this->sides($file, $drift);
        }

        return ['before' => $before, 'after' => $after];
    }

    protected function inWords(array $terms): array
    {
        return ['what' => $this->words->say('outside.taken.'.(is_string($terms['what'] ?? null) ? $terms['what'] : self::ALL))];
    }

    private function isAbout(DriftField $field): bool
    {
        return $field->canBeTaken();
    }

    /** @return array{string, string} */
    private function sides(HeldCase $file, OpenDrift $drift): array
    {
        $none = $this->words->say('outside.nothing_written');
        $day = fn (?Instant $instant): string => $instant === null ? $none : $this->words->near($instant);
        $seen = $drift->seen();

        return match ($drift->tag->about()) {
            DriftField::Ends => [$day($file->facts->ends), $seen instanceof Instant ? $day($seen) : ''],
            DriftField::Created => [$day($file->facts->created), $seen instanceof Instant ? $day($seen) : ''],
            DriftField::Servers => [$file->servers === [] ? $none : implode(' ', $file->servers), is_string($seen) ? $seen : ''],
            DriftField::Lock => [
                $this->words->say('words.lock.'.$file->facts->lock->value),
                $this->words->say('words.lock.'.self::lock($drift)->value),
            ],
            default => $drift->tag === RecordFinding::StatusGone
                ? [(string) $drift->status()?->value, '—']
                : ['—', (string) $drift->status()?->value],
        };
    }

    private static function put(Registration $registration, OpenDrift $drift): void
    {
        $seen = $drift->seen();
        match ($drift->tag->about()) {
            DriftField::Ends => ($registration->ends_on = $seen instanceof Instant ? $seen : $registration->ends_on),
            DriftField::Created => ($registration->created_on = $seen instanceof Instant ? $seen : $registration->created_on),
            DriftField::Servers => ($registration->servers = is_string($seen) && $seen !== '—' ? explode(' ', $seen) : []),
            DriftField::Lock => ($registration->lock = self::lock($drift)),
            default => ($registration->statuses = self::statuses($registration->statuses, $drift)),
        };
    }

    /** @param  list<OpenDrift>  $drifts */
    private function deletedSince(Registration $registration, HeldCase $file, array $drifts): ?Instant
    {
        $phase = Status::proven(array_values(array_filter(array_map(Status::tryFrom(...), $registration->statuses))));
        if ($phase?->isDeleted() !== true) {
            return null;
        }
        if ($phase === Status::proven($file->facts->statuses) && $registration->deleted_since !== null) {
            return $registration->deleted_since;
        }

        return Instant::earliest(
            ...array_map(
                fn (OpenDrift $drift): Instant => $drift->since ?? $drift->first,
                array_values(array_filter($drifts, fn (OpenDrift $drift): bool => $drift->tag->about() === DriftField::Statuses)),
            ),
        );
    }

    private static function lock(OpenDrift $drift): Lock
    {
        return match ($drift->tag) {
            RecordFinding::LockIsOff => Lock::Off,
            RecordFinding::LockIsOn => Lock::On,
            default => Lock::tryFrom(is_string($drift->seen()) ? $drift->seen() : '') ?? Lock::NotKnown,
        };
    }

    /**
     * @param  list<string>  $statuses
     * @return list<string>
     */
    private static function statuses(array $statuses, OpenDrift $drift): array
    {
        $status = $drift->status()?->value;

        return array_values(
            $drift->tag === RecordFinding::StatusGone
                ? array_diff($statuses, [$status])
                : array_unique(array_filter([...$statuses, $status], is_string(...))),
        );
    }

    /** @param  array<array-key, mixed>  $after */
    private static function alike(Registration $registration, array $after): bool
    {
        // PostgreSQL writes instants and JSON in a form of its own.
        $then = (new Registration())->setRawAttributes([...$registration->getAttributes(), ...$after]);

        return $then->ends_on?->iso() === $registration->ends_on?->iso() &&
            $then->created_on?->iso() === $registration->created_on?->iso() &&
            $then->lock === $registration->lock &&
            $then->servers === $registration->servers &&
            $then->statuses === $registration->statuses;
    }
}
