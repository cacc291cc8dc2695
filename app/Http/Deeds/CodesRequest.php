<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** Names and their auth codes, a pair a line. */
final class CodesRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['codes' => ['required', 'string', 'max:200000']];
    }
}
