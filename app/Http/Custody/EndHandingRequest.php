<?php

declare(strict_types=1);

namespace App\Http\Custody;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** At which accounts the handing of custody was done, or is left as it is. */
final class EndHandingRequest extends FormRequest
{
    use SignedIn;

    public function authorize(): bool
    {
        // Whoever leaves something with somebody who goes answers for it.
        return $this->left() === null || $this->person()->can('settle');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'accounts' => ['required', 'array', 'max:500'],
            'accounts.*' => ['integer'],
            'how' => ['required', 'in:done,left'],
            'words' => ['required_if:how,left', 'nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['accounts.required' => self::said('forms.custody_accounts'), 'words.required_if' => self::said('forms.custody_why')];
    }

    /** @return list<int> */
    public function accounts(): array
    {
        $ticked = $this->input('accounts');

        return array_values(array_map(intval(...), array_filter(is_array($ticked) ? $ticked : [], is_scalar(...))));
    }

    /** Why it is left as it is; null: it was done. */
    public function left(): ?string
    {
        return $this->word('how') === 'left' ? trim($this->word('words')) : null;
    }
}
