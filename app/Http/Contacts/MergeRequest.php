<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use App\Http\SignedIn;
use App\Models\Contact;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class MergeRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'keep' => ['required', 'integer', Rule::exists(Contact::class, 'id')->whereNull('merged_into')],
            'together' => ['required', 'array', 'min:1', 'max:100'],
            'together.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'keep.required' => self::said('forms.merge_keep'),
            'together.required' => self::said('forms.merge_others'),
            'keep.exists' => self::said('forms.merge_gone'),
        ];
    }

    /** @return list<int> */
    public function others(): array
    {
        $ticked = $this->input('together');

        return array_values(
            array_diff(array_map(intval(...), array_filter(is_array($ticked) ? $ticked : [], is_scalar(...))), [$this->integer('keep')]),
        );
    }
}
