<?php

declare(strict_types=1);

namespace App\Http\Notes;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class NoteRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'note' => ['required_without:file', 'nullable', 'string', 'max:10000'],
            'file' => ['nullable', 'file', 'max:'.intdiv(config()->integer('house.upload_limit'), 1024)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.required_without' => __('notes.empty')];
    }

    public function sent(): ?UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : null;
    }
}
