<?php

declare(strict_types=1);

namespace App\Http\Imports;

use Acre\Wire\Lists\Encoding;
use Acre\Wire\Lists\ListOptions;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How a file is to be read, where a person knows better. */
final class ReadingRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'sheet' => ['nullable', 'string', 'max:200'],
            'headings' => ['required', 'boolean'],
            'encoding' => ['nullable', Rule::enum(Encoding::class)],
        ];
    }

    public function options(): ListOptions
    {
        return new ListOptions(
            $this->filled('sheet') ? $this->word('sheet') : null,
            $this->boolean('headings'),
            Encoding::tryFrom($this->word('encoding')),
        );
    }
}
