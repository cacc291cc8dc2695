<?php

declare(strict_types=1);

namespace App\Http\Handover;

use App\Actions\Deeds\DeedError;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

final class StoreHandOverRequest extends HandOverRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'receiver' => ['required', 'integer', 'exists:accounts,id'],
            'client' => ['required', 'string', 'regex:/^(keep|\d{1,15})$/'],
            'by' => ['required', 'date_format:Y-m-d'],
            'token' => ['required', 'uuid'],
            'shown' => ['required', 'string', 'max:200000'],
            'act' => ['required', 'in:prepare,settle'],
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

    /**
     * The names that the page said could go, as the page itself wrote them: nobody can widen the list.
     *
     * @return list<int>
     */
    public function shown(): array
    {
        try {
            $shown = json_decode(Crypt::decryptString($this->string('shown')->toString()), true);
        } catch (DecryptException) {
            throw DeedError::shownHasChanged();
        }

        return array_values(array_filter(is_array($shown) ? $shown : [], is_int(...)));
    }
}
