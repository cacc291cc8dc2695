<?php

declare(strict_types=1);

namespace App\Http\Custody;

use Acre\Core\Custody\CustodyPart;
use App\Http\SignedIn;
use App\Models\Custodian;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PartRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'custodian' => ['required', 'integer', Rule::exists(Custodian::class, 'id')],
            'part' => ['required', Rule::enum(CustodyPart::class)],
            'good_until' => ['nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
        ];
    }
}
