<?php

declare(strict_types=1);

namespace App\Http\Clients;

use App\Http\KeepsGuarded;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Client;
use App\Models\Pattern;
use App\Support\HouseSettings;
use App\Support\Language;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ClientRequest extends FormRequest
{
    use KeepsGuarded;
    use SignedIn;

    protected function guarded(): Client
    {
        $client = $this->route('client');

        return $client instanceof Client ? $client : new Client();
    }

    /** @return array<string, mixed> columns of a client */
    public function columns(): array
    {
        $columns = $this->values();
        if (array_key_exists('end_letters', $columns)) {
            $columns['end_letters'] = $this->boolean('end_letters');
        }
        if (array_key_exists('surcharge_percent', $columns)) {
            $columns['surcharge_percent'] ??= '0';
        }
        if (array_key_exists('surcharge_each', $columns)) {
            $columns['surcharge_currency'] = $columns['surcharge_each'] === null ? null : app(HouseSettings::class)->currency();
        }

        return $columns;
    }

    protected function prepareForValidation(): void
    {
        if ($this->has('surcharge_each')) {
            $each = str_replace(',', '.', trim($this->word('surcharge_each')));
            $this->merge(['surcharge_each' => $each === '' ? null : $each]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => [
                'required',
                'string',
                'max:200',
                new NotTaken(Client::class, 'name', 'client', $this->route('client'), isFolded: true),
            ],
            'mailbox' => ['nullable', 'email', 'max:320'],
            'pattern_id' => ['nullable', 'integer', Rule::exists(Pattern::class, 'id')],
            'end_letters' => ['sometimes', 'boolean'],
            'language' => ['sometimes', 'required', Rule::enum(Language::class)],
            'surcharge_percent' => ['nullable', 'numeric', 'between:0,500', 'decimal:0,2'],
            'surcharge_each' => ['nullable', 'regex:/^\d{1,6}(\.\d{1,2})?$/'],
            'remarks' => ['nullable', 'string', 'max:4000'],
            'version' => ['sometimes', 'integer'],
        ];
    }
}
