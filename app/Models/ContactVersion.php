<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Likeness;
use Acre\Core\Contact\LocalForm;
use Acre\Core\Contact\Mailbox as MailboxValue;
use Acre\Core\Contact\Phone;
use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a contact said over a span.
 *
 * @property int $id
 * @property int $contact_id
 * @property int $number
 * @property Span $span
 * @property string|null $organisation
 * @property string|null $person
 * @property list<string> $street
 * @property string|null $town
 * @property string|null $region
 * @property string|null $postcode
 * @property string|null $country
 * @property string|null $voice as RFC 5733 writes it
 * @property int|null $mailbox_id
 * @property array{organisation?: string|null, person?: string|null, street?: list<string>, town?: string|null, region?: string|null,
 *     postcode?: string|null}|null $local
 * @property string $source `typed`, `brought in`, `card` or `record`
 * @property string $called
 * @property string $likeness how it is called, as those are who are called alike
 * @property-read Contact $contact
 * @property-read Mailbox|null $mailbox
 * @property-read User|null $user
 */
final class ContactVersion extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id', 'called'];

    protected $attributes = [
        'organisation' => null,
        'person' => null,
        'street' => '[]',
        'town' => null,
        'region' => null,
        'postcode' => null,
        'country' => null,
        'voice' => null,
        'mailbox_id' => null,
        'local' => null,
        'likeness' => '',
    ];

    protected $casts = ['span' => AsSpan::class, 'street' => 'array', 'local' => 'array'];

    /** @return BelongsTo<Mailbox, $this> */
    public function mailbox(): BelongsTo
    {
        return $this->belongsTo(Mailbox::class);
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** As the core knows it. What was brought in and can't be a mailbox is left out. */
    public function value(HolderKind $kind): ContactValue
    {
        $country = $this->country === null ? null : Country::of($this->country);
        $local = $this->local;
        $mailbox = MailboxValue::tryOf($this->mailbox?->address);
        $called = $this->organisation === null && $this->person === null && $mailbox === null ? $this->mailbox?->address : $this->person;

        return ContactValue::of(
            $kind,
            $this->organisation,
            $called,
            Address::of($this->street, $this->town, $this->region, $this->postcode, $country),
            $this->voice === null ? null : Phone::of($this->voice),
            $mailbox,
            $local === null
                ? null
                : new LocalForm(
                    $local['organisation'] ?? null,
                    $local['person'] ?? null,
                    Address::of(
                        $local['street'] ?? [],
                        $local['town'] ?? null,
                        $local['region'] ?? null,
                        $local['postcode'] ?? null,
                        $country,
                    ),
                ),
        );
    }

    /**
     * @param  int|null  $mailboxId  of the value's mailbox
     * @return array<string, mixed> the columns that keep a value
     */
    public static function columns(ContactValue $value, ?int $mailboxId): array
    {
        $local = $value->local;

        return [
            'organisation' => $value->organisation,
            'person' => $value->person,
            'street' => $value->address->street,
            'town' => $value->address->town,
            'region' => $value->address->region,
            'postcode' => $value->address->postcode,
            'country' => $value->address->country?->code,
            'voice' => $value->voice?->epp(),
            'mailbox_id' => $mailboxId,
            'likeness' => Likeness::of($value->called()),
            'local' => $local === null
                    ? null
                    : [
                        'organisation' => $local->organisation,
                        'person' => $local->person,
                        'street' => $local->address->street,
                        'town' => $local->address->town,
                        'region' => $local->address->region,
                        'postcode' => $local->address->postcode,
                    ],
        ];
    }
}
