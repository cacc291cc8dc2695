<?php

declare(strict_types=1);

namespace App\Http\Asks;

use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;

/** Which names of a client are asked about, whom, and by when an answer is wanted. */
final class AskRequest extends FormRequest
{
    use SignedIn;

    /** Names in one letter. */
    private const MOST = 500;

    /** @return array<string, list<mixed>> */
    public function rules(TradeClock $clock): array
    {
        return [
            'mailbox' => ['required', 'email', 'max:320'],
            'by' => ['required', 'date_format:Y-m-d', "after_or_equal:{$clock->today()->date()}", 'before:2101-01-01'],
            'names' => ['required', 'array', 'min:1', 'max:'.self::MOST],
            'names.*' => ['integer', 'min:1', 'max:9223372036854775807'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['names.required' => self::said('asks.choose'), 'names.max' => self::said('asks.too_many')];
    }

    public function mailbox(): string
    {
        return $this->word('mailbox');
    }

    public function by(): Instant
    {
        return Instant::of($this->word('by'));
    }

    /** @return list<int> */
    public function names(): array
    {
        $names = $this->input('names');

        return array_values(array_map(
            fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            is_array($names) ? $names : [],
        ));
    }
}
