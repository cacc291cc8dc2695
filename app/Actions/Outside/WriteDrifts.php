<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Record\Drift as CoreDrift;
use Acre\Core\Time\Instant;
use App\Models\Drift;
use App\Models\DriftState;
use App\Support\HouseLog;

/** Brings a name's drifts in line with what the last look showed. In the caller's transaction, the name locked. */
final readonly class WriteDrifts
{
    public function __construct(private HouseLog $log)
    {
    }

    /**
     * @param  list<CoreDrift>  $now
     * @return bool whether its open ones are others than before
     */
    public function handle(int $nameId, array $now, Instant $at): bool
    {
        /** @var array<string, Drift> $before */
        $before = Drift::query()->where('name_id', $nameId)->whereIn('state', [DriftState::Open, DriftState::Left])->get()->keyBy(fn (Drift $drift): string => $drift->finding->value.' '.$drift->detail)->all();
        $isChanged = false;
        foreach ($now as $drift) {
            $detail = is_string($drift->finding->with['status'] ?? null) ? $drift->finding->with['status'] : '';
            $said = json_decode(json_encode($drift->finding, JSON_THROW_ON_ERROR), true, 8, JSON_THROW_ON_ERROR);
            $known = $before[$drift->tag->value.' '.$detail] ?? null;
            unset($before[$drift->tag->value.' '.$detail]);
            $isOther = $known !== null && self::values($known->said) !== self::values($said);
            if ($known === null) {
                $known = new Drift([
                    'name_id' => $nameId, 'finding' => $drift->tag, 'detail' => $detail, 'field' => $drift->tag->about(), 'alarming' => $drift->tag->isAlarming(), 'cost' => $drift->tag->cost()->value,
                    'state' => DriftState::Open, 'first_seen' => $at, 'last_seen' => $at,
                ]);
            } elseif ($isOther) {
                // Something else was seen than what somebody left as it is.
                $known->fill(['state' => DriftState::Open, 'because' => null, 'settled_at' => null, 'settled_by' => null, 'told_at' => null, 'first_seen' => $at]);
            }
            $isNew = ! $known->exists || $isOther;
            $known->fill(['said' => $said, 'certainty' => $drift->certainty, 'last_seen' => $at])->save();
            $isChanged = $isChanged || $isNew;
            if ($isNew) {
                $this->log->write('drift_seen', 'name', $nameId, ['finding' => $drift->tag->value, 'with' => json_encode($drift->finding->with, JSON_THROW_ON_ERROR)]);
            }
        }
        foreach ($before as $drift) {
            $drift->fill(['state' => DriftState::Gone, 'settled_at' => $at])->save();
            $this->log->write('drift_gone', 'name', $nameId, ['finding' => $drift->finding->value]);
            $isChanged = true;
        }

        return $isChanged;
    }

    /** Its values in one form: the database keeps members in an order of its own. */
    private static function values(mixed $said): string
    {
        $with = is_array($said) && is_array($said['with'] ?? null) ? $said['with'] : [];
        ksort($with);

        return json_encode($with, JSON_THROW_ON_ERROR);
    }
}
