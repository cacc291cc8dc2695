<?php

declare(strict_types=1);

namespace App\Http\Patterns;

use Acre\Core\Contact\Field;
use Acre\Core\Disclosure\Pattern as PatternValue;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Pattern;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PatternRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', new NotTaken(Pattern::class, 'name', 'pattern', $this->route('pattern'))],
            'fields' => ['sometimes', 'array'],
            'fields.*' => [Rule::enum(Field::class)],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array{name: string, fields: list<string>} */
    public function columns(): array
    {
        $fields = $this->input('fields');

        return ['name' => trim($this->word('name')), 'fields' => PatternValue::read(is_array($fields) ? $fields : [])->words()];
    }
}
