<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Eloquent\Model;

/** Saving what a form says of a row that somebody else may have saved since. */
final class Changes
{
    /**
     * The row must be locked.
     *
     * @param  array<string, mixed>  $values
     * @param  int  $version  the one that the form was made from
     * @return array<string, mixed> what changed
     *
     * @throws ChangedMeanwhile when the row has another version by now, and it differs from what is to be saved
     */
    public static function save(Model $row, array $values, int $version): array
    {
        $row->fill($values);
        $changed = array_intersect_key($row->getDirty(), $row->getAttributes());
        if ($changed === []) {
            return [];
        }
        if ($row->getAttribute('version') !== $version) {
            throw ChangedMeanwhile::row();
        }
        $row->setAttribute('version', $version + 1);
        $row->save();

        return $changed;
    }
}
