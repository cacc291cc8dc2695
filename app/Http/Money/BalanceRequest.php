<?php

declare(strict_types=1);

namespace App\Http\Money;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** What somebody read at the registrar’s page: what an account holds. */
final class BalanceRequest extends FormRequest
{
    use SignedIn;
    use TypesAmount;

    protected function prepareForValidation(): void
    {
        $this->tidyAmount();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->amountRules();
    }
}
