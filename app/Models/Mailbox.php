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
 * @property Instant|null $looked_on when DNS was asked
 */
final class Mailbox extends Model
{
    protected $fillable = ['address', 'site', 'takes_mail', 'looked_on'];

    protected $attributes = ['site' => null, 'takes_mail' => 'unknown', 'looked_on' => null];

    protected $casts = ['takes_mail' => TakesMail::class, 'looked_on' => AsInstant::class];
}
