<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link in a letter, good once and for one thing; only its digest is known here.
 *
 * @property int $id
 * @property LinkPurpose $purpose
 * @property string $digest SHA-256, in hexadecimal
 * @property string $mailbox whose letter it stands in
 * @property int|null $docket_id
 * @property int|null $docket_version as it was when the letter was written
 * @property int|null $confirmation_id the word on it that is asked for
 * @property int|null $mailbox_id that is to be verified
 * @property int|null $ask_id which of their names a client is asked to keep
 * @property int|null $user_id who of the house sets their password
 * @property Instant|null $late_on when somebody answered after its day
 * @property bool|null $late_says whether they agreed
 * @property string|null $late_words
 * @property int $misses times that what was typed did not belong to it
 * @property-read Docket|null $docket
 */
final class Link extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    protected $attributes = ['misses' => 0];

    protected $casts = ['purpose' => LinkPurpose::class, 'late_on' => AsInstant::class, 'late_says' => 'boolean'];

    /** @return BelongsTo<Docket, $this> */
    public function docket(): BelongsTo
    {
        return $this->belongsTo(Docket::class);
    }
}
