<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\LocalForm;
use Acre\Wire\Epp\Data\PostalInfo;

/** A legal holder as a registrar is told of them: one version of a contact, which never changes under its handle. */
final readonly class Holder
{
    private const DIGEST = 6;

    /**
     * @param  string  $handle  of 3 to 16 characters (RFC 5733 §4), the same whenever this account tells of this version, and nobody else's
     *     by chance
     */
    private function __construct(public string $handle, public Contact $contact)
    {
    }

    /**
     * @param  string  $account  its number
     * @param  string|null  $shown  what of them may be shown: one who is to be read otherwise is another contact there (RFC 5733 §2.9)
     */
    public static function of(string $account, int $versionId, Contact $contact, ?string $shown): self
    {
        $digest = substr(hash('sha256', "{$account} {$shown} ".json_encode($contact, JSON_THROW_ON_ERROR)), 0, self::DIGEST);

        return new self(strtoupper('R'.base_convert((string) $versionId, 10, 36)."-{$digest}"), $contact);
    }

    /**
     * In international form, which is ASCII, where that is what is held; beside it, or else, as it is written there (RFC 5733 §2.4).
     *
     * @return non-empty-list<PostalInfo>
     */
    public function postal(): array
    {
        $contact = $this->contact;
        $main = new LocalForm($contact->organisation, $contact->person, $contact->address);
        $isAscii =
            preg_match('/[^\x20-\x7e]/', implode('', [$contact->organisation, $contact->person, ...$contact->address->lines()])) !== 1;

        return $contact->local === null || ! $isAscii
            ? [$this->form($main, ! $isAscii)]
            : [$this->form($main, false), $this->form($contact->local, true)];
    }

    private function form(LocalForm $form, bool $isLocal): PostalInfo
    {
        $address = $form->address;

        return new PostalInfo(
            $isLocal,
            $form->person ?? ($form->organisation ?? ''),
            $form->organisation,
            $address->street,
            $address->town ?? '',
            $address->region,
            $address->postcode,
            $this->contact->address->country->code ?? '',
        );
    }
}
