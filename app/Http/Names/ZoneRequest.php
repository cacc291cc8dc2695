<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A zone file, pasted or uploaded. */
final class ZoneRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'zone' => ['nullable', 'required_without:file', 'string', 'max:2000000'],
            'file' => ['nullable', 'file', 'max:4096'],
        ];
    }

    public function isUpload(): bool
    {
        return $this->file('file') instanceof UploadedFile;
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getContent() : $this->word('zone');
    }

    /** Who says so: the file's name, as far as it is plain. */
    public function toldBy(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? mb_substr(mb_scrub(basename($file->getClientOriginalName())), 0, 100) : '';
    }
}
