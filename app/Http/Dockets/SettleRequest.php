<?php

declare(strict_types=1);

namespace App\Http\Dockets;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** A button without terms of its own; the route's policy decides. */
final class SettleRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['which' => ['nullable', 'in:waiting']];
    }
}
