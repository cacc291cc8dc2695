<?php

declare(strict_types=1);

namespace App\Http\Received;

use Acre\Core\Time\Instant;
use App\Actions\Names\PastedNames;
use App\Actions\Names\ReadPastedNames;
use App\Http\SignedIn;
use App\Models\Received;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

final class ReceivedRequest extends FormRequest
{
    use SignedIn;

    protected function prepareForValidation(): void
    {
        $this->onlyTexts('received_on');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(Received::KINDS)],
            'sender' => ['required', 'string', 'max:300'],
            'about' => ['required', 'string', 'max:4000'],
            'received_on' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'answer_by' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:received_on', 'before:2101-01-01'],
            'names' => ['nullable', 'string', 'max:100000', $this->known(...)],
            'file' => ['nullable', 'file', 'max:'.intdiv(config()->integer('house.upload_limit'), 1024)],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'kind' => $this->word('kind'),
            'sender' => trim($this->word('sender')),
            'about' => trim($this->word('about')),
            'received_on' => Instant::of($this->word('received_on')),
            'answer_by' => $this->filled('answer_by') ? Instant::of($this->word('answer_by')) : null,
        ];
    }

    /** @return list<int> */
    public function nameIds(): array
    {
        return array_values($this->pasted($this->word('names'))->known);
    }

    public function sent(): ?UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : null;
    }

    private function known(string $field, mixed $value, Closure $fail): void
    {
        $pasted = $this->pasted(is_string($value) ? $value : '');
        if ($pasted->unknown !== []) {
            $fail(__('forms.unknown_names', ['names' => $pasted->unknownShort()]));
        }
    }

    private function pasted(string $text): PastedNames
    {
        return app(ReadPastedNames::class)->handle($text);
    }
}
