<?php

declare(strict_types=1);

namespace App\Http\Servers;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** A web host's letter to a new customer, pasted whole. */
final class LetterRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['letter' => ['required', 'string', 'max:100000']];
    }
}
