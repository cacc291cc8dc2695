<?php

declare(strict_types=1);

namespace App\Http\Imports;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class WriteRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'clients' => ['array', 'max:500'],
            'clients.*' => ['string', 'max:200'],
            'accounts' => ['array', 'max:400'],
            'accounts.*' => ['string', 'max:100'],
            'because' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $values = $this->validated($key);

        return array_values(array_filter(is_array($values) ? $values : [], is_string(...)));
    }
}
