<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A person who has something of accounts: a way in, a factor, a card.
 *
 * @property int $id
 * @property string $name
 * @property string|null $mailbox
 * @property Instant|null $left_on
 * @property int $version
 */
final class Custodian extends Model
{
    protected $fillable = ['name', 'mailbox', 'user_id', 'left_on', 'version'];

    protected $attributes = ['mailbox' => null, 'user_id' => null, 'left_on' => null, 'version' => 1];

    protected $casts = ['left_on' => AsInstant::class];
}
