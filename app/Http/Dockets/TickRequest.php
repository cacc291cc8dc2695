<?php

declare(strict_types=1);

namespace App\Http\Dockets;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class TickRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'how' => ['required', 'in:done,all,refused'],
            'on' => ['required_unless:how,refused', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'reason' => ['nullable', 'string', 'max:1000'],
            'lines' => ['array', 'max:900'],
            'lines.*' => ['integer', 'min:1'],
        ];
    }

    /** @return 'done'|'refused' */
    public function how(): string
    {
        return $this->string('how')->toString() === 'refused' ? 'refused' : 'done';
    }

    /**
     * @return list<int>|null null: all that are open
     *
     * @throws DeedError when nothing is ticked
     */
    public function lines(): ?array
    {
        if ($this->string('how')->toString() === 'all') {
            return null;
        }
        $lines = $this->validated('lines');
        $ids = array_values(array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, is_array($lines) ? $lines : []));

        return $ids === [] ? throw DeedError::nothingTicked() : $ids;
    }

    public function on(): Instant
    {
        return Instant::of($this->string('on')->toString());
    }
}
