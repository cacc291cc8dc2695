<?php

declare(strict_types=1);

namespace App\Http\Imports;

use App\Http\SignedIn;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

final class UploadRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'registrar' => ['required_without:new_registrar', 'nullable', 'integer', 'exists:registrars,id'],
            'new_registrar' => ['required_without:registrar', 'nullable', 'string', 'max:200'],
            'whole' => ['boolean'],
            'new_account' => ['nullable', 'string', 'max:100'],
            'account' => [
                'nullable',
                Rule::requiredIf($this->boolean('whole') && ! $this->filled('new_account')),
                'integer',
                Rule::exists('accounts', 'id')->where('registrar_id', $this->integer('registrar')),
            ],
            'client' => ['nullable', 'integer', 'exists:clients,id'],
            'list' => ['required', $this->sensible(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'account.exists' => __('imports.account_elsewhere'),
            'account.required' => __('imports.whole_of_what'),
            'list.required' => __('imports.not_sent'),
        ];
    }

    public function list(): UploadedFile
    {
        $file = $this->file('list');

        return $file instanceof UploadedFile ? $file : abort(422);
    }

    private function sensible(string $field, mixed $value, Closure $fail): void
    {
        $limit = config()->integer('house.upload_limit');
        if (! ($value instanceof UploadedFile) || ! $value->isValid()) {
            $fail(__('imports.not_sent'));
        } elseif ($value->getSize() > $limit) {
            $fail(
                __('imports.too_large', [
                    'size' => number_format($value->getSize() / 1_048_576, 1),
                    'limit' => number_format($limit / 1_048_576),
                ]),
            );
        }
    }
}
