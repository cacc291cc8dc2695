<?php

declare(strict_types=1);

namespace App\Http\Deeds;

final class StoreDeedRequest extends DeedRequest
{
    use StoresDeed;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...parent::rules(), ...$this->buttonRules()];
    }
}
