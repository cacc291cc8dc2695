<?php

declare(strict_types=1);

namespace App\Http\Handover;

use Acre\Core\Registrant\DesignatedAgent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Http\Deeds\DeedRequest;

/** Which names, to whom, on what terms: the same words in the address and in the form. */
class HandOverRequest extends DeedRequest
{
    /** What is said of another registrant. */
    public const REGISTRANT = ['contact', 'agreement', 'authority', 'agent'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'q' => ['nullable', 'string', 'max:300'],
            'receiver' => ['nullable', 'integer', 'exists:accounts,id'],
            'client' => ['nullable', 'string', 'regex:/^(keep|\d{1,15})$/'],
            'by' => ['nullable', 'date_format:Y-m-d'],
            'contact' => ['nullable', 'string', 'max:320'],
            'agreement' => ['nullable', 'string', 'max:1000'],
            'authority' => ['nullable', 'string', 'max:1000'],
            'agent' => ['nullable', 'in:'.implode(',', array_column(DesignatedAgent::cases(), 'value'))],
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        foreach (self::REGISTRANT as $key) {
            if ($this->isMethod('get') && $this->word($key) === '') {
                $this->merge([$key => null]);
            }
        }
        if ($this->isMethod('get') && DesignatedAgent::tryFrom($this->word('agent')) === null) {
            $this->merge(['agent' => null]);
        }
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
        $said = array_filter(
            [...$this->which(), ...$this->only(['receiver', 'client', 'by', ...self::REGISTRANT]), ...$change],
            fn (mixed $value): bool => $value !== null && $value !== '' && $value !== [],
        );

        return route('hand-over', $said);
    }
}
