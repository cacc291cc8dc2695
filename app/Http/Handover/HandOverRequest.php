<?php

declare(strict_types=1);

namespace App\Http\Handover;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Http\Deeds\DeedRequest;

/** Which names, to whom, on what terms: the same words in the address and in the form. */
class HandOverRequest extends DeedRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'q' => ['nullable', 'string', 'max:300'],
            'receiver' => ['nullable', 'integer', 'exists:accounts,id'],
            'client' => ['nullable', 'string', 'regex:/^(keep|\d{1,15})$/'],
            'by' => ['nullable', 'date_format:Y-m-d'],
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        foreach (['client' => '/^(keep|\d{1,15})$/D', 'by' => '/^\d{4}-\d\d-\d\d$/D', 'receiver' => '/^\d{1,15}$/D'] as $key => $shape) {
            if ($this->isMethod('get') && preg_match($shape, $this->word($key)) !== 1) {
                $this->merge([$key => null]);
            }
        }
    }

    public function answerBy(Instant $otherwise): Instant
    {
        try {
            return Instant::of($this->word('by'));
        } catch (TimeError) {
            return $otherwise;
        }
    }

    public function receiverId(): ?int
    {
        return $this->filled('receiver') ? $this->integer('receiver') : null;
    }

    /**
     * The address of the same page with one word changed.
     *
     * @param  array<string, string|int|list<string>|null>  $change
     */
    public function address(array $change): string
    {
        $said = array_filter([...$this->which(), ...$this->only(['receiver', 'client', 'by']), ...$change], fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);

        return route('hand-over', $said);
    }
}
