<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Record\DriftField;
use App\Models\Drift;
use App\Models\DriftState;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use Illuminate\Support\Facades\DB;

/** What both ways of settling drift share: which of a name's drifts they are about, and how they are closed and opened again. */
trait SettlesDrift
{
    /** Every fact at once. */
    private const ALL = 'all';

    /** @return array<string, string> */
    public function choices(): array
    {
        $choices = [self::ALL => (string) __('outside.what.all')];
        foreach (DriftField::cases() as $field) {
            if ($this->isAbout($field)) {
                $choices[$field->value] = (string) __('outside.what.'.$field->value);
            }
        }

        return $choices;
    }

    abstract private function isAbout(DriftField $field): bool;

    /** @param  array<array-key, mixed>  $said */
    private function what(array $said): ?string
    {
        $what = is_string($said['what'] ?? null) ? $said['what'] : '';

        return array_key_exists($what, $this->choices()) ? $what : null;
    }

    /**
     * @param  array<string, mixed>  $terms
     * @return list<OpenDrift>
     */
    private function drifts(HeldCase $file, array $terms): array
    {
        return array_values(
            array_filter(
                $file->drifts,
                fn (OpenDrift $drift): bool => $this->isAbout($drift->tag->about()) &&
                    in_array($terms['what'], [self::ALL, $drift->tag->about()->value], true),
            ),
        );
    }

    /**
     * @param  list<OpenDrift>  $drifts
     * @param  array<string, mixed>  $with  columns
     * @return list<int> their ids
     */
    private function settle(array $drifts, DriftState $as, array $with): array
    {
        $ids = array_map(fn (OpenDrift $drift): int => $drift->id, $drifts);
        Drift::query()
            ->whereIn('id', $ids)
            ->open()
            ->update(['state' => $as->value, ...$with]);

        return $ids;
    }

    /** @param  mixed  $ids  as the line kept them */
    private function open(mixed $ids): void
    {
        // One that was seen again meanwhile stands already.
        foreach (is_array($ids) ? array_filter($ids, is_int(...)) : [] as $id) {
            DB::update(
                "UPDATE drifts d SET state = 'open', because = NULL, settled_at = NULL, settled_by = NULL, docket_id = NULL WHERE id = ?
                AND NOT EXISTS (SELECT FROM drifts o WHERE o.name_id = d.name_id AND o.finding = d.finding AND o.detail = d.detail
                AND o.id <> d.id AND o.state IN ('open', 'left'))",
                [$id],
            );
        }
    }
}
