<?php

declare(strict_types=1);

namespace App\Http\Plans;

use App\Http\Deeds\DeedRequest;

/** Names of a migration, and within what it is planned: the same words in the address and in the form. */
final class PlanRequest extends DeedRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['token' => ['nullable', 'uuid']] + parent::rules();
    }
}
