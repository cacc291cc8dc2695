<?php

declare(strict_types=1);

namespace App\Http;

use Acre\Core\Time\Instant;
use App\Models\Guarded;
use App\Models\Right;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\Validator;

/** A form with guarded fields: whoever may not change them leaves them out, and is told so where they don't. */
trait KeepsGuarded
{
    abstract protected function guarded(): Model;

    /** @return array<string, mixed> */
    abstract public function columns(): array;

    protected function prepareForValidation(): void
    {
        $row = $this->guarded();
        if (! $this->person()->role->may(Right::Settle)) {
            foreach (Guarded::columns($row) as $column) {
                $value = $row->getAttribute($column);
                $this->mergeIfMissing([$column => $value instanceof Instant ? $value->date() : $value]);
            }
        }
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach (
                    $validator->errors()->isEmpty() ? Guarded::against($this->person(), $this->guarded(), $this->columns()) : [] as $column
                ) {
                    $validator->errors()->add($column, (string) __('forms.guarded'));
                }
            },
        ];
    }
}
