<?php

declare(strict_types=1);

namespace App\Http\Sheaf;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class PasteRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['names' => ['required', 'string', 'max:300000']];
    }
}
