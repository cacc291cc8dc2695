<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\ContactError;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\LocalForm;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use App\Http\SignedIn;
use App\Models\Client;
use App\Models\Contact as StoredContact;
use App\Models\Guarded;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use LogicException;

final class ContactRequest extends FormRequest
{
    use SignedIn;

    private ?Contact $contact = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(HolderKind::class)],
            ...array_fill_keys(
                ['organisation', 'person', 'town', 'region', 'voice', 'local_organisation', 'local_person', 'local_town', 'local_region'],
                ['nullable', 'string', 'max:255'],
            ),
            ...array_fill_keys(['street', 'local_street'], ['nullable', 'string', 'max:800']),
            ...array_fill_keys(['postcode', 'local_postcode'], ['nullable', 'string', 'max:40']),
            'country' => ['nullable', 'string', 'max:10'],
            'mailbox' => ['nullable', 'string', 'max:320'],
            'client_id' => ['nullable', 'integer', Rule::exists(Client::class, 'id')],
            'version' => ['sometimes', 'integer'],
            'seen' => ['sometimes', 'string', 'max:100'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isEmpty()) {
                    try {
                        $this->contact = $this->read();
                        $before = $this->route('contact');
                        if (
                            $before instanceof StoredContact &&
                            Guarded::mailbox($this->person(), $before->today->mailbox?->address, $this->contact->mailbox?->address())
                        ) {
                            $validator->errors()->add('mailbox', (string) __('forms.guarded'));
                        }
                    } catch (ContactError $e) {
                        $validator->errors()->add($e->field, $e->getMessage());
                    }
                }
            },
        ];
    }

    public function contact(): Contact
    {
        return $this->contact ?? throw new LogicException('It was not found valid.');
    }

    public function clientId(): ?int
    {
        return $this->filled('client_id') ? $this->integer('client_id') : null;
    }

    private function read(): Contact
    {
        $country = $this->filled('country') ? Country::of($this->word('country')) : null;
        $local = Address::of(
            $this->lines('local_street'),
            $this->word('local_town'),
            $this->word('local_region'),
            $this->word('local_postcode'),
            $country,
        );
        $hasLocal =
            array_filter(
                ['local_organisation', 'local_person', 'local_street', 'local_town', 'local_region', 'local_postcode'],
                fn (string $part): bool => trim($this->word($part)) !== '',
            ) !== [];

        return Contact::of(
            HolderKind::from($this->word('kind')),
            $this->word('organisation'),
            $this->word('person'),
            Address::of($this->lines('street'), $this->word('town'), $this->word('region'), $this->word('postcode'), $country),
            $this->filled('voice') ? Phone::of($this->word('voice'), $country) : null,
            $this->filled('mailbox') ? Mailbox::of($this->word('mailbox')) : null,
            $hasLocal ? new LocalForm($this->word('local_organisation'), $this->word('local_person'), $local) : null,
        );
    }

    /** @return list<string> */
    private function lines(string $key): array
    {
        return explode("\n", str_replace("\r", '', $this->word($key)));
    }
}
