<?php

declare(strict_types=1);

namespace App\Http\Custody;

use App\Http\SignedIn;
use App\Models\Custodian;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class HandCustodyRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['to' => ['required', 'integer', Rule::exists(Custodian::class, 'id')->whereNull('left_on')], 'accounts' => ['required', 'array', 'max:500'], 'accounts.*' => ['integer']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.required' => 'Say to whom it is handed.', 'accounts.required' => 'Tick the accounts at which it is done.'];
    }

    /** @return list<int> */
    public function accounts(): array
    {
        $ticked = $this->input('accounts');

        return array_values(array_map(intval(...), array_filter(is_array($ticked) ? $ticked : [], is_scalar(...))));
    }
}
