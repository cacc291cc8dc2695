<?php

declare(strict_types=1);

namespace App\Http\Sheaf;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class SheafRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['names' => ['array', 'max:200'], 'names.*' => ['integer', 'min:1']];
    }

    /** @return list<int> */
    public function names(): array
    {
        $names = $this->validated('names');

        return array_values(array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, is_array($names) ? $names : []));
    }
}
