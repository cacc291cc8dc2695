<?php

declare(strict_types=1);

namespace App\Http\Custody;

use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Custodian;
use Illuminate\Foundation\Http\FormRequest;

final class CustodianRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->routeIs('custody.store')
            ? [
                'name' => ['required', 'string', 'max:200', new NotTaken(Custodian::class, 'name', 'person', null)],
                'mailbox' => ['nullable', 'email', 'max:320'],
            ]
            : [];
    }
}
