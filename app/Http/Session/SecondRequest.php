<?php

declare(strict_types=1);

namespace App\Http\Session;

use Illuminate\Foundation\Http\FormRequest;

final class SecondRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:40']];
    }
}
