<?php

declare(strict_types=1);

namespace App\Http\Imports;

use Acre\Wire\Lists\DateOrder;
use App\Actions\Imports\ImportField;
use App\Http\SignedIn;
use App\Models\Import;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

final class ColumnsRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'columns' => ['required', 'array', 'max:200'],
            'columns.*' => ['required', Rule::enum(ImportField::class)],
            'order' => ['nullable', Rule::enum(DateOrder::class)],
            'account' => ['nullable', 'integer', Rule::exists('accounts', 'id')->where('registrar_id', $this->import()?->registrar_id)],
            'new_account' => ['nullable', 'string', 'max:100'],
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $fields = $this->columns();
            if (! in_array(ImportField::Name->value, $fields, true)) {
                $validator->errors()->add('columns', __('imports.no_name_column'));
            }
            foreach (array_count_values($fields) as $field => $count) {
                if ($count > 1 && ! ImportField::from($field)->mayRepeat()) {
                    $validator->errors()->add('columns', __('imports.same_field', ['field' => __('imports.field.'.$field)]));
                }
            }
            if (
                $this->import()?->account_id === null &&
                ! $this->filled('account') &&
                ! $this->filled('new_account') &&
                ! in_array(ImportField::Account->value, $fields, true)
            ) {
                $validator->errors()->add('account', __('imports.no_account'));
            }
            $hasDates = array_filter($fields, fn (string $field): bool => ImportField::from($field)->isDate()) !== [];
            if ($hasDates && ! $this->filled('order')) {
                $validator->errors()->add('order', __('imports.order_not_said'));
            }
        });
    }

    private function import(): ?Import
    {
        $import = $this->route('import');

        return $import instanceof Import ? $import : null;
    }

    /** @return list<string> */
    public function columns(): array
    {
        $columns = $this->input('columns');

        return array_values(array_map(fn (mixed $field): string => is_string($field) ? $field : '', is_array($columns) ? $columns : []));
    }
}
