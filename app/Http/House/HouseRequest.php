<?php

declare(strict_types=1);

namespace App\Http\House;

use App\Http\SignedIn;
use App\Models\Pattern;
use App\Support\DateStyle;
use App\Support\Served;
use App\Support\Silence;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class HouseRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/D'],
            'letterhead' => ['nullable', 'string', 'max:1000'],
            'zone' => ['required', 'timezone:all'],
            'dates' => ['required', Rule::enum(DateStyle::class)],
            'served' => ['required', Rule::enum(Served::class)],
            'four_eyes' => ['nullable', 'integer', 'min:0', 'max:100000'],
            'silence' => ['sometimes', 'required', Rule::enum(Silence::class)],
            'pattern' => ['nullable', 'integer', Rule::exists(Pattern::class, 'id')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['currency.regex' => __('forms.currency')];
    }

    /**
     * @return array{currency: string, letterhead: string, four_eyes: int|null, zone: string, dates: string, served: string,
     *     pattern: int|null, silence: string}
     */
    public function settings(): array
    {
        return [
            'currency' => $this->word('currency'),
            'letterhead' => trim(str_replace("\r", '', $this->word('letterhead'))),
            'four_eyes' => $this->filled('four_eyes') ? $this->integer('four_eyes') : null,
            'zone' => $this->word('zone'),
            'dates' => $this->word('dates'),
            'served' => $this->word('served'),
            'pattern' => $this->filled('pattern') ? $this->integer('pattern') : null,
            'silence' => $this->word('silence') === '' ? Silence::Nothing->value : $this->word('silence'),
        ];
    }
}
