<?php

declare(strict_types=1);

namespace App\Http\Verification;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class VerifyRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->routeIs('verification.store')
            ? ['by' => ['required', Rule::in(['call', 'registrar'])], 'words' => ['required', 'string', 'max:900']]
            : [];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['words.required' => self::said('forms.verify_evidence')];
    }

    /** @return 'call'|'registrar' */
    public function by(): string
    {
        return $this->word('by') === 'call' ? 'call' : 'registrar';
    }
}
