<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Acre\Core\Movement\Identifier;
use Illuminate\Foundation\Http\FormRequest;

/** What a receiver types behind the link of their letter. Who may is the link's to say. */
final class AnswerRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['answer' => ['required', 'in:yes,no'], 'words' => ['nullable', 'string', 'max:900'], ...array_fill_keys(array_column(Identifier::cases(), 'value'), ['nullable', 'string', 'max:200'])];
    }

    public function refuses(): bool
    {
        return $this->string('answer')->toString() === 'no';
    }

    public function words(): string
    {
        return $this->string('words')->trim()->toString();
    }

    /** @return array<string, string> by identifier */
    public function typed(): array
    {
        $typed = [];
        foreach (Identifier::cases() as $identifier) {
            $typed[$identifier->value] = $this->string($identifier->value)->toString();
        }

        return $typed;
    }
}
