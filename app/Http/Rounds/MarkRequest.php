<?php

declare(strict_types=1);

namespace App\Http\Rounds;

use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

final class MarkRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'thing' => ['required', 'string', 'max:200', 'regex:/^[a-z_]+:/'],
            'because' => ['required_if:how,done', 'nullable', 'string', 'max:500'],
            'how' => ['required', 'in:done,off,given,back'],
            'until' => ['required_if:how,off', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'to' => ['required_if:how,given', 'nullable', 'integer', 'exists:users,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['because.required_if' => (string) __('rounds.what_was_done')];
    }

    public function until(): Instant
    {
        return Instant::of($this->filled('until') ? $this->string('until')->toString() : '2000-01-01');
    }

    public function givenTo(): User
    {
        return $this->filled('to') ? User::query()->findOrFail($this->integer('to')) : $this->person();
    }
}
