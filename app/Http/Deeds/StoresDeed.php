<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Deeds\DeedError;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

/** The button of a deed's page: what the page had shown, and whether it is only prepared or settled at once. */
trait StoresDeed
{
    /** @return array<string, list<string>> */
    protected function buttonRules(): array
    {
        return [
            'token' => ['required', 'uuid'],
            'shown' => ['required', 'string', 'max:300000'],
            'act' => ['required', 'in:prepare,settle'],
        ];
    }

    /**
     * The names that the page said could go, as the page itself wrote them: nobody can widen the list.
     *
     * @return list<int>
     *
     * @throws DeedError when it is not what a page wrote
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
