<?php

declare(strict_types=1);

namespace App\Actions\Drifts;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\Drift as CoreDrift;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use App\Models\Drift;
use App\Models\DriftState;
use App\Models\Name;
use App\Queries\Outside\LastSeen;
use App\Support\HouseLog;

/** Brings a name's drifts in line with what the last look showed. In the caller's transaction, the name locked. */
final readonly class WriteDrifts
{
    /** Seconds after which a look is a second one. */
    private const SECOND_LOOK = 600;

    public function __construct(private HouseLog $log, private LastSeen $lastSeen)
    {
    }

    /**
     * After the look was kept.
     *
     * @param  list<CoreDrift>  $now
     * @return bool whether its open ones have changed
     */
    public function handle(int $nameId, array $now, Instant $at): bool
    {
        $before = $this->before($nameId);
        $isChanged = false;
        foreach ($now as $drift) {
            $detail = self::detail($drift);
            $said = self::said($drift);
            $known = $before["{$drift->tag->value} {$detail}"] ?? null;
            unset($before["{$drift->tag->value} {$detail}"]);
            $isOther = $known !== null && self::values($known->said) !== self::values($said);
            if ($known === null) {
                $known = new Drift([
                    'name_id' => $nameId,
                    'finding' => $drift->tag,
                    'detail' => $detail,
                    'field' => $drift->tag->about(),
                    'state' => DriftState::Open,
                    'first_seen' => $at,
                    'last_seen' => $at,
                ]);
            } elseif ($isOther) {
                // Something else was seen than what somebody left as it is.
                $known->fill([
                    'state' => DriftState::Open,
                    'because' => null,
                    'settled_at' => null,
                    'settled_by' => null,
                    'told_at' => null,
                    'first_seen' => $at,
                ]);
            }
            $isNew = ! $known->exists || $isOther;
            if ($isNew) {
                $known->since = $this->since($drift, $nameId, $at);
            }
            $isOnce = $drift->needsSecondLook && $known->first_seen->plusSeconds(self::SECOND_LOOK)->isAfter($at);
            $known->fill([
                'said' => $said,
                'certainty' => $isOnce ? Certainty::Once : $drift->certainty,
                'alarming' => ! $isOnce && $drift->isAlarming(),
                'cost' => $drift->cost()->value,
                'last_seen' => $at,
            ]);
            $isChanged = $isChanged || $isNew || $known->isDirty(['certainty', 'alarming']);
            $known->save();
            if ($isNew) {
                $this->log->write('drift_seen', 'name', $nameId, [
                    'finding' => $drift->tag->value,
                    'with' => json_encode($drift->finding->with, JSON_THROW_ON_ERROR),
                ]);
            }
        }
        foreach ($before as $drift) {
            $this->gone($drift, $at);
            $isChanged = true;
        }

        return $isChanged;
    }

    /** Since when it is deleted, or gone, where this drift says so. */
    private function since(CoreDrift $drift, int $nameId, Instant $at): ?Instant
    {
        if ($drift->tag === RecordFinding::NotInDirectory) {
            return $at;
        }
        $status = $drift->tag->status() ?? Status::tryFrom(self::detail($drift));
        if ($drift->tag === RecordFinding::StatusGone || $status?->phase()?->isDeleted() !== true) {
            return null;
        }
        $seen = $this->lastSeen->of($nameId, Name::query()->findOrFail($nameId)->ascii);
        [$now, $before] = [...$seen[Source::Registry->value] ?? ($seen[Source::Text->value] ?? []), null, null];

        return $now?->record?->deletedSince($at, $before?->last);
    }

    /**
     * The same where nothing new was seen, and our books say something else: what is known is brought in line, and nothing added.
     *
     * @param  list<CoreDrift>  $now
     */
    public function again(int $nameId, array $now, Instant $at): void
    {
        $still = [];
        foreach ($now as $drift) {
            $still[$drift->tag->value.' '.self::detail($drift)] = $drift;
        }
        foreach ($this->before($nameId) as $key => $drift) {
            if (! isset($still[$key])) {
                $this->gone($drift, $at);

                continue;
            }
            $drift
                ->fill([
                    'said' => self::said($still[$key]),
                    'certainty' => $drift->certainty === Certainty::Once ? Certainty::Once : $still[$key]->certainty,
                ])
                ->save();
        }
    }

    /** @return array<string, Drift> those that nobody has settled, by what was found */
    private function before(int $nameId): array
    {
        $before = [];
        foreach (
            Drift::query()
                ->where('name_id', $nameId)
                ->whereIn('state', [DriftState::Open, DriftState::Left])
                ->get() as $drift
        ) {
            $before["{$drift->finding->value} {$drift->detail}"] = $drift;
        }

        return $before;
    }

    private function gone(Drift $drift, Instant $at): void
    {
        $drift->fill(['state' => DriftState::Gone, 'settled_at' => $at])->save();
        $this->log->write('drift_gone', 'name', $drift->name_id, ['finding' => $drift->finding->value]);
    }

    private static function detail(CoreDrift $drift): string
    {
        return is_string($drift->finding->with['status'] ?? null) ? $drift->finding->with['status'] : '';
    }

    /** @return array<array-key, mixed> */
    private static function said(CoreDrift $drift): array
    {
        $said = json_decode(json_encode($drift->finding, JSON_THROW_ON_ERROR), true, 8, JSON_THROW_ON_ERROR);

        return is_array($said) ? $said : [];
    }

    /** Its values in one form: the database keeps members in an order of its own. */
    private static function values(mixed $said): string
    {
        $with = is_array($said) && is_array($said['with'] ?? null) ? $said['with'] : [];
        ksort($with);

        return json_encode($with, JSON_THROW_ON_ERROR);
    }
}
