<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Record\RecordFinding;
use App\Actions\Outside\Settling;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class GatherDriftRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            // What is done, and to which kind: `take:ends_later`.
            'act' => ['required', 'string', 'regex:/^(take|leave|right):[a-z_]+$/D'],
            'names' => ['nullable', 'array'],
            'names.*' => ['array', 'max:500'],
            'names.*.*' => ['integer', 'min:1', 'max:999999999999'],
        ];
    }

    /** @return array{string, array<string, string>}|null the deed, and its terms as an address says them */
    public function deed(RecordFinding $kind): ?array
    {
        return Settling::of($kind)[(string) strstr($this->word('act'), ':', true)] ?? null;
    }

    public function kind(): ?RecordFinding
    {
        return RecordFinding::tryFrom(substr((string) strstr($this->word('act'), ':'), 1));
    }

    /** @return list<int> those ticked of that kind; none: all of it are meant */
    public function names(): array
    {
        $names = $this->input('names.'.($this->kind()->value ?? ''));

        return array_values(
            array_unique(array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, is_array($names) ? $names : [])),
        );
    }
}
