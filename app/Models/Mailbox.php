<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A mailbox that guards names or accounts; what is known of it serves everything that carries it.
 *
 * @property int $id
 * @property string $address
 * @property string|null $site A-labels of the name that its host lies in; '': none; null: not worked out yet
 * @property TakesMail $takes_mail
 * @property string|null $forwards_to from where letters to it are answered, where that is another
 * @property Instant|null $looked_on when DNS was asked
 * @property Instant|null $verified_on when somebody showed that it is theirs; null: not known
 * @property string|null $verified_by `letter`, `call` or `registrar`
 * @property string|null $verified_words
 */
final class Mailbox extends Model
{
    protected $fillable = [
        'address',
        'site',
        'takes_mail',
        'looked_on',
        'forwards_to',
        'verified_on',
        'verified_by',
        'verified_words',
        'verified_user_id',
    ];

    protected $attributes = [
        'site' => null,
        'takes_mail' => 'unknown',
        'looked_on' => null,
        'verified_on' => null,
        'verified_by' => null,
        'verified_words' => null,
    ];

    protected $casts = ['takes_mail' => TakesMail::class, 'looked_on' => AsInstant::class, 'verified_on' => AsInstant::class];
}
