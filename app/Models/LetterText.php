<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the house writes in a letter of one kind.
 *
 * @property int $id
 * @property LetterKind $kind
 * @property string|null $subject null: as it ships
 * @property string|null $body
 * @property int $version
 */
final class LetterText extends Model
{
    protected $fillable = ['kind', 'subject', 'body'];

    protected $attributes = ['subject' => null, 'body' => null, 'version' => 1];

    protected $casts = ['kind' => LetterKind::class];
}
