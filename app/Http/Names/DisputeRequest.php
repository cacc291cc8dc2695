<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Dispute;
use App\Http\SignedIn;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class DisputeRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(TradeClock $clock): array
    {
        return [
            'dispute' => ['required', Rule::enum(Dispute::class)],
            'dispute_since' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:1985-01-01', "before_or_equal:{$clock->today()->date()}"],
            'dispute_remarks' => ['nullable', 'string', 'max:500'],
        ];
    }

    public function kind(): Dispute
    {
        return Dispute::from($this->word('dispute'));
    }

    public function since(): ?Instant
    {
        return $this->filled('dispute_since') ? Instant::of($this->word('dispute_since')) : null;
    }

    public function remarks(): ?string
    {
        return $this->filled('dispute_remarks') ? $this->word('dispute_remarks') : null;
    }
}
