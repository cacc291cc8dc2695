<?php

declare(strict_types=1);

namespace App\Http\Handover;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Actions\Names\GatherNames;
use App\Http\SignedIn;
use App\Models\Name;
use Illuminate\Foundation\Http\FormRequest;

/** Which names, to whom, on what terms: the same words in the address and in the form. */
class HandOverRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'of' => ['nullable', 'string', 'max:300'],
            'name' => ['nullable', 'string', 'max:300'],
            'q' => ['nullable', 'string', 'max:300'],
            'receiver' => ['nullable', 'integer', 'exists:accounts,id'],
            'client' => ['nullable', 'string', 'regex:/^(keep|\d{1,15})$/'],
            'by' => ['nullable', 'date_format:Y-m-d'],
            'only' => ['nullable', 'in:clear'],
        ];
    }

    protected function prepareForValidation(): void
    {
        foreach (['client' => '/^(keep|\d{1,15})$/D', 'by' => '/^\d{4}-\d\d-\d\d$/D', 'receiver' => '/^\d{1,15}$/D', 'only' => '/^clear$/D'] as $key => $shape) {
            if ($this->isMethod('get') && preg_match($shape, $this->word($key)) !== 1) {
                $this->merge([$key => null]);
            }
        }
        foreach (['of', 'name', 'q'] as $key) {
            if ($this->isMethod('get') && $this->has($key)) {
                $this->merge([$key => mb_substr($this->word($key), 0, 300)]);
            }
        }
    }

    /** @return list<int>|null null: nothing was chosen yet */
    public function names(GatherNames $gather): ?array
    {
        if ($this->filled('name')) {
            $name = (new Name)->resolveRouteBinding($this->word('name'));

            return $name === null ? null : [$name->id];
        }
        $of = $this->word('of');

        return match (true) {
            $of === '' => null,
            $of === 'sheaf' => $gather->sheaf($this->person())->ids,
            default => $gather->of($this->person(), $of),
        };
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

    public function onlyClear(): bool
    {
        return $this->word('only') === 'clear';
    }

    /**
     * The address of the same page with one word changed.
     *
     * @param  array<string, string|int|null>  $change
     */
    public function address(array $change): string
    {
        $said = array_filter([...$this->only(['of', 'name', 'receiver', 'client', 'by', 'only']), ...$change], fn (mixed $value): bool => $value !== null && $value !== '');

        return route('hand-over', $said);
    }
}
