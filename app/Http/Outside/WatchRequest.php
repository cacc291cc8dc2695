<?php

declare(strict_types=1);

namespace App\Http\Outside;

use App\Http\SignedIn;
use App\Models\Client;
use Illuminate\Foundation\Http\FormRequest;

final class WatchRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['client' => ['required', 'integer', 'exists:clients,id'], 'why' => ['required', 'string', 'max:300']];
    }

    public function client(): Client
    {
        return Client::query()->findOrFail($this->integer('client'));
    }
}
