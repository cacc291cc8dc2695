<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Database\Eloquent\Model;

/** No other row of the table has this value, whatever its capitals. */
final readonly class NotTaken implements ValidationRule
{
    /**
     * @param  class-string<Model>  $model
     * @param  mixed  $self  the row that is being changed, if it is one
     * @param  array<string, mixed>  $within  further columns that must agree
     * @param  bool  $isFolded  whether another kind of apostrophe or blank makes no other one (`folded()`)
     */
    public function __construct(
        private string $model,
        private string $column,
        private string $what,
        private mixed $self,
        private array $within = [],
        private bool $isFolded = false,
    ) {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $alike = $this->isFolded ? 'folded' : 'lower';
        $query = $this->model::query()
            ->where($this->within)
            ->whereRaw("{$alike}({$this->column}) = {$alike}(?)", [is_string($value) ? $value : '']);
        if ($this->self instanceof Model) {
            $query->whereKeyNot($this->self->getKey());
        }
        if ($query->exists()) {
            $fail('forms.taken')->translate(['what' => $this->what]);
        }
    }
}
