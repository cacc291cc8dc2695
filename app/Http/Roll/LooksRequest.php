<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Http\SignedIn;
use App\View\RollColumn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class LooksRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['columns' => ['array', 'max:'.RollColumn::MOST], 'columns.*' => [Rule::enum(RollColumn::class)], 'compact' => ['boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['columns.max' => __('roll.too_many_columns', ['most' => RollColumn::MOST])];
    }

    /** @return array<string, mixed> */
    public function looks(): array
    {
        return ['columns' => $this->validated('columns', []), 'compact' => $this->boolean('compact')];
    }
}
