<?php

declare(strict_types=1);

namespace App\Http\Clients;

use App\Http\SignedIn;
use App\Models\Client;
use Illuminate\Foundation\Http\FormRequest;

final class MergeRequest extends FormRequest
{
    use SignedIn;

    /** Null: none was chosen, or it is part of another, or the client itself. */
    public function other(): ?Client
    {
        $id = $this->input('other');
        $client = $this->route('client');
        $other = is_scalar($id) && preg_match('/^\d{1,15}$/D', (string) $id) === 1 ? Client::query()->standing()->find((int) $id) : null;

        return $client instanceof Client && $other?->is($client) === true ? null : $other;
    }
}
