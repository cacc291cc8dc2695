<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** A code as a registrar told it to a person; printable characters without blanks (RFC 9154 §4.1). */
final class StoreAuthCodeRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['code' => ['nullable', 'string', 'max:100', 'regex:/^[\x21-\x7e]+$/D']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.regex' => (string) __('names.code.printable')];
    }

    /** @return string|null null: forget the one that is kept */
    public function code(): ?string
    {
        $code = $this->string('code')->toString();

        return $code === '' ? null : $code;
    }
}
