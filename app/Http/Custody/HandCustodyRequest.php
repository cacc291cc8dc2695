<?php

declare(strict_types=1);

namespace App\Http\Custody;

use App\Http\SignedIn;
use App\Models\Custodian;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** To whom somebody's custody is handed. */
final class HandCustodyRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'to' => [
                'required',
                'integer',
                Rule::exists(Custodian::class, 'id')->whereNull('left_on')->whereNot('id', (string) ($this->custodian()->id ?? 0)),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.required' => self::said('forms.custody_to'), 'to.exists' => self::said('forms.custody_to_other')];
    }

    private function custodian(): ?Custodian
    {
        $custodian = $this->route('custodian');

        return $custodian instanceof Custodian ? $custodian : null;
    }
}
