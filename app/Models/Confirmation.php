<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One side's word on another registrant, where a letter asks for it.
 *
 * @property int $id
 * @property int $docket_id
 * @property Side $side
 * @property int $contact_id
 * @property string $mailbox that was written to last
 * @property Instant $asked_on
 * @property Instant|null $answered_on null: not answered yet
 * @property bool|null $confirmed
 * @property int|null $version_id of the new registrant's data, to which they said yes
 * @property string|null $words theirs, when they said no
 * @property string|null $carried_at once what it lets go on goes on
 * @property-read Docket $docket
 * @property-read Contact $contact
 * @property-read Letter|null $letter the last one
 */
final class Confirmation extends Model
{
    protected $guarded = ['id'];

    protected $attributes = ['answered_on' => null, 'confirmed' => null, 'words' => null, 'carried_at' => null, 'version_id' => null];

    protected $casts = ['side' => Side::class, 'asked_on' => AsInstant::class, 'answered_on' => AsInstant::class, 'confirmed' => 'boolean'];

    /** @return BelongsTo<Docket, $this> */
    public function docket(): BelongsTo
    {
        return $this->belongsTo(Docket::class);
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return HasOne<Letter, $this> */
    public function letter(): HasOne
    {
        return $this->hasOne(Letter::class)->latestOfMany();
    }
}
