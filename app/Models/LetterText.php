<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Language;
use Illuminate\Database\Eloquent\Model;

/**
 * What the house writes in a letter of one kind.
 *
 * @property int $id
 * @property LetterKind $kind
 * @property Language $language
 * @property string|null $subject null: as it ships
 * @property string|null $body
 * @property int $version
 */
final class LetterText extends Model
{
    protected $fillable = ['kind', 'language', 'subject', 'body'];

    protected $attributes = ['language' => 'en', 'subject' => null, 'body' => null, 'version' => 1];

    protected $casts = ['kind' => LetterKind::class, 'language' => Language::class];
}
