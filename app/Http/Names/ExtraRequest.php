<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Movement\ExtraKind;
use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ExtraRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'extra' => ['required', Rule::enum(ExtraKind::class)],
            'extra_ends' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:1985-01-01', 'before:2101-01-01'],
            'extra_renews' => ['nullable', 'in:0,1'],
        ];
    }

    public function kind(): ExtraKind
    {
        return ExtraKind::from($this->word('extra'));
    }

    public function ends(): ?Instant
    {
        return $this->filled('extra_ends') ? Instant::of($this->word('extra_ends')) : null;
    }
}
