<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Disclosure\Pattern as PatternValue;
use Illuminate\Database\Eloquent\Model;

/**
 * A choice of fields, by a name of the house's own.
 *
 * @property int $id
 * @property string $name
 * @property list<string> $fields
 * @property int $version
 */
final class Pattern extends Model
{
    protected $fillable = ['name', 'fields'];

    protected $attributes = ['fields' => '[]', 'version' => 1];

    protected $casts = ['fields' => 'array'];

    public function value(): PatternValue
    {
        return PatternValue::read($this->fields);
    }
}
