<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Record\RecordFinding;
use App\Actions\Outside\LeaveDrift;
use App\Actions\Outside\TakeObserved;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class GatherDriftRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            // take or leave, and of one kind or of whatever is ticked: `take`, `take:ends_later`
            'act' => ['required', 'string', 'regex:/^(take|leave)(:[a-z_]+)?$/D'],
            'all' => ['nullable', 'string', Rule::in(['1'])],
            'names' => ['nullable', 'array', 'max:500'],
            'names.*' => ['integer', 'min:1', 'max:999999999999'],
        ];
    }

    public function deed(): string
    {
        return str_starts_with($this->word('act'), 'take') ? TakeObserved::key() : LeaveDrift::key();
    }

    public function kind(): ?RecordFinding
    {
        return RecordFinding::tryFrom(substr((string) strstr($this->word('act'), ':'), 1));
    }

    public function isAll(): bool
    {
        return $this->word('all') === '1';
    }

    /** @return list<int> */
    public function names(): array
    {
        $names = $this->input('names');

        return array_values(array_unique(array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, is_array($names) ? $names : [])));
    }
}
