<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Contact\RoleKind;
use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a contact was to a name over a span.
 *
 * @property int $id
 * @property int $name_id
 * @property int $registration_id
 * @property int $contact_id
 * @property RoleKind $role
 * @property Span $span
 * @property int|null $docket_id by which deed it came to be so
 * @property-read Contact $contact
 * @property-read Name $name
 */
final class NameRole extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'roles';

    protected $guarded = ['id'];

    protected $casts = ['role' => RoleKind::class, 'span' => AsSpan::class];

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return BelongsTo<Name, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(Name::class);
    }
}
