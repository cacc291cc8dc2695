<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** Hosts whose pages are kept at a place, one on each line. */
final class SitesRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['hosts' => ['required', 'string', 'max:100000']];
    }
}
