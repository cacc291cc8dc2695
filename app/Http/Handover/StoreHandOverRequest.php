<?php

declare(strict_types=1);

namespace App\Http\Handover;

use App\Actions\Deeds\DeedError;
use App\Http\Deeds\StoresDeed;

final class StoreHandOverRequest extends HandOverRequest
{
    use StoresDeed;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'receiver' => ['required', 'integer', 'exists:accounts,id'],
            'client' => ['required', 'string', 'regex:/^(keep|\d{1,15})$/'],
            'by' => ['required', 'date_format:Y-m-d'],
            ...$this->buttonRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['receiver.required' => DeedError::nobodyChosen()->getMessage()];
    }

    public function clientId(): ?int
    {
        $client = $this->string('client')->toString();

        return $client === 'keep' ? null : (int) $client;
    }
}
