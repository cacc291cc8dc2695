<?php

declare(strict_types=1);

namespace App\Http\Clients;

use App\Http\KeepsGuarded;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Client;
use App\Models\Pattern;
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
        return $this->values();
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
            'remarks' => ['nullable', 'string', 'max:4000'],
            'version' => ['sometimes', 'integer'],
        ];
    }
}
