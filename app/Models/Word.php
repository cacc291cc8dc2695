<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A label that people give to names.
 *
 * @property int $id
 * @property string $label
 */
final class Word extends Model
{
    protected $fillable = ['label'];

    /** @return array<int, string> every label by id, in order */
    public static function labels(): array
    {
        $labels = [];
        foreach (self::query()->orderByRaw('lower(label)')->limit(1000)->get() as $word) {
            $labels[$word->id] = $word->label;
        }

        return $labels;
    }
}
